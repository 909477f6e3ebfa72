import { memo } from 'react';
import styled from 'styled-components';
import { LETTERS, UNARY, written } from '~/core/cards/facts';
import type { Practised } from '~/core/games/kit/types';
import { plain } from '~/core/words/numbers';
import { TableFrame } from '~/app/ui/Page';
import { color, type } from '~/app/ui/theme';

const SIZE = 300;
const LABEL = 24;

const Frame = styled.figure`
  margin: 0;
  max-width: 26rem;
  summary {
    cursor: pointer;
    color: ${color.shore};
    min-height: 32px;
  }
`;

/**
 * The facts practised as basket weave: a strand across for each first number, a strand down for each second one,
 * over and under by turns. Where the two numbers of a fact cross there is a knot, the larger the more often met.
 */
export const Weave = memo(function Weave({ practice }: { practice: readonly Practised[] }) {
  // Tens and ones are two digits of one number: they would lie among the sums as if they were added.
  const pairs = practice.filter(({ fact }) => !UNARY.has(fact.op) && fact.op !== 'tens');
  if (pairs.length === 0) return <Strands practice={practice} />;
  return <Basket practice={pairs} all={practice} />;
});

function Basket({ practice, all }: { practice: readonly Practised[]; all: readonly Practised[] }) {
  const values = practice.flatMap(({ fact }) => [fact.a, fact.b]);
  const low = Math.min(...values);
  const top = Math.max(...values);
  const step = SIZE / (top - low + 1);
  const at = (n: number): number => LABEL + (n - low + 0.5) * step;
  const met = (side: 'a' | 'b', n: number): number =>
    practice.filter(({ fact }) => fact[side] === n).reduce((total, one) => total + one.meetings, 0);
  // Facts of several kinds with the same two numbers share a crossing.
  const knots = new Map<string, { a: number; b: number; meetings: number }>();
  for (const { fact, meetings } of practice) {
    const key = `${fact.a} ${fact.b}`;
    knots.set(key, { a: fact.a, b: fact.b, meetings: (knots.get(key)?.meetings ?? 0) + meetings });
  }
  const most = Math.max(...[...knots.values()].map((one) => one.meetings));
  const numbers = Array.from({ length: top - low + 1 }, (_, i) => low + i);
  const heaviest = Math.max(...numbers.flatMap((n) => [met('a', n), met('b', n)]));
  const strand = (meetings: number): number =>
    meetings === 0 ? 0.6 : step * (0.16 + 0.5 * Math.sqrt(meetings / heaviest));
  const every = numbers.length > 41 ? 10 : numbers.length > 13 ? 5 : 1;
  const told = `Facts met in one play: ${[...practice]
    .sort((a, b) => b.meetings - a.meetings)
    .slice(0, 3)
    .map(({ fact, meetings }) => `${written(fact)} about ${plain(meetings)} times`)
    .join(', ')}, and ${Math.max(0, practice.length - 3)} more.`;
  return (
    <Frame>
      <svg
        viewBox={`0 0 ${SIZE + LABEL + 4} ${SIZE + LABEL + 4}`}
        width="100%"
        role="img"
        aria-label={told}
        style={{ maxWidth: 330, display: 'block' }}
      >
        {numbers.map((b) => (
          <rect
            key={`down${b}`}
            x={at(b) - strand(met('b', b)) / 2}
            y={LABEL}
            width={strand(met('b', b))}
            height={SIZE}
            fill={color.straw}
            opacity="0.75"
          />
        ))}
        {numbers.map((a) => (
          <rect
            key={`across${a}`}
            x={LABEL}
            y={at(a) - strand(met('a', a)) / 2}
            width={SIZE}
            height={strand(met('a', a))}
            fill="#9CBF8B"
          />
        ))}
        {numbers.flatMap((a) =>
          numbers
            .filter((b) => Math.abs(a + b) % 2 === 1)
            .map((b) => (
              <rect
                key={`over${a}-${b}`}
                x={at(b) - strand(met('b', b)) / 2}
                y={at(a) - step / 2}
                width={strand(met('b', b))}
                height={step}
                fill={color.straw}
                stroke={color.paper}
                strokeWidth="0.5"
              />
            )),
        )}
        {[...knots.values()].map(({ a, b, meetings }) => {
          const size = step * (0.22 + 0.66 * Math.sqrt(meetings / most));
          return (
            <rect
              key={`${a} ${b}`}
              x={at(b) - size / 2}
              y={at(a) - size / 2}
              width={size}
              height={size}
              rx={size * 0.28}
              fill={color.deepFern}
            />
          );
        })}
        {numbers
          .filter((n) => n % every === 0)
          .map((n) => (
            <g key={n} fontFamily={type.body} fontSize="14" fill={color.ink} textAnchor="middle">
              <text x={at(n)} y={LABEL - 7}>
                {n}
              </text>
              <text x={LABEL - 11} y={at(n) + 5}>
                {n}
              </text>
            </g>
          ))}
      </svg>
      <FactTable practice={all} />
    </Frame>
  );
}

/** Facts with one number only, as strands side by side: the higher, the more often met. */
function Strands({ practice }: { practice: readonly Practised[] }) {
  const met = new Map<number, number>();
  for (const { fact, meetings } of practice) met.set(fact.a, (met.get(fact.a) ?? 0) + meetings);
  const numbers = [...met.keys()].sort((a, b) => a - b);
  const letters = practice.every(({ fact }) => fact.op === 'letter');
  const name = (n: number): string => (letters ? LETTERS[n - 1]! : String(n));
  const most = Math.max(...met.values());
  const step = SIZE / Math.max(4, numbers.length);
  const height = 130;
  return (
    <Frame>
      <svg
        viewBox={`0 0 ${SIZE + 8} ${height + 30}`}
        width="100%"
        role="img"
        aria-label={`${letters ? 'Letters' : 'Numbers'} met in one play: ${numbers.map((n) => `${name(n)} about ${plain(met.get(n)!)} times`).join(', ')}.`}
        style={{ maxWidth: 330, display: 'block' }}
      >
        {[0.2, 0.4, 0.6, 0.8].map((share) => (
          <rect
            key={share}
            x={0}
            y={height * share + 6}
            width={SIZE + 8}
            height={5}
            fill="#9CBF8B"
            opacity="0.6"
          />
        ))}
        {numbers.map((n, i) => {
          const length = 12 + (height - 12) * (met.get(n)! / most);
          return (
            <g key={n} fontFamily={type.body} fontSize="14" fill={color.ink} textAnchor="middle">
              <rect
                x={4 + i * step + step * 0.22}
                y={height - length + 6}
                width={step * 0.56}
                height={length}
                rx={4}
                fill={color.straw}
                stroke={color.deepFern}
                strokeWidth="1.2"
              />
              <text x={4 + (i + 0.5) * step} y={height + 24}>
                {name(n)}
              </text>
            </g>
          );
        })}
      </svg>
      <FactTable practice={practice} />
    </Frame>
  );
}

/** The same as a table, one key away. */
const FactTable = ({ practice }: { practice: readonly Practised[] }) => (
  <details>
    <summary>Show as a table</summary>
    <TableFrame>
      <table>
        <thead>
          <tr>
            <th>Fact</th>
            <th>Met in one play</th>
          </tr>
        </thead>
        <tbody>
          {practice.map(({ fact, meetings }) => (
            <tr key={`${fact.op} ${fact.a} ${fact.b}`}>
              <td>{written(fact)}</td>
              <td>{plain(meetings)} times</td>
            </tr>
          ))}
        </tbody>
      </table>
    </TableFrame>
  </details>
);
