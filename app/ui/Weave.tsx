import styled from 'styled-components';
import { written } from '~/core/cards/facts';
import type { Practised } from '~/core/games/types';
import { plain } from '~/core/words/numbers';
import { TableFrame } from './Page';
import { color, type } from './theme';

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
export function Weave({ practice }: { practice: readonly Practised[] }) {
  const top = Math.max(...practice.flatMap(({ fact }) => [fact.a, fact.b]));
  const step = SIZE / (top + 1);
  const at = (n: number): number => LABEL + (n + 0.5) * step;
  const most = Math.max(...practice.map((one) => one.meetings));
  const met = (side: 'a' | 'b', n: number): number =>
    practice.filter(({ fact }) => fact[side] === n).reduce((total, one) => total + one.meetings, 0);
  const numbers = Array.from({ length: top + 1 }, (_, n) => n);
  const heaviest = Math.max(...numbers.flatMap((n) => [met('a', n), met('b', n)]));
  const strand = (meetings: number): number =>
    meetings === 0 ? 0.6 : step * (0.16 + 0.5 * Math.sqrt(meetings / heaviest));
  const every = top > 12 ? 5 : 1;
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
            .filter((b) => (a + b) % 2 === 1)
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
        {practice.map(({ fact, meetings }) => {
          const size = step * (0.22 + 0.66 * Math.sqrt(meetings / most));
          return (
            <rect
              key={`${fact.a}-${fact.b}`}
              x={at(fact.b) - size / 2}
              y={at(fact.a) - size / 2}
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
                <tr key={written(fact)}>
                  <td>{written(fact)}</td>
                  <td>{plain(meetings)} times</td>
                </tr>
              ))}
            </tbody>
          </table>
        </TableFrame>
      </details>
    </Frame>
  );
}
