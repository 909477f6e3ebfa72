import { entries, quantile } from '~/core/chance/pmf';
import type { Length } from '~/core/games/kit/types';
import { plain } from '~/core/words/numbers';
import { color, type } from '~/app/ui/theme';

const WIDTH = 640;
const MIDDLE = 40;
const EDGE = 14;

/** How long a play takes: one ribbon, thick where most plays end, with the middle and the 90-in-100 mark named. */
export function LengthRibbon({ length }: { length: Length }) {
  const minutesOf = (turns: number): number => (turns * length.secondsPerTurn) / 60 + length.setUpMinutes;
  // A tail that one play in two hundred reaches would press all others together.
  const longest = quantile(length.turns, 0.995);
  const ends = entries(length.turns)
    .filter(([turns]) => turns <= longest)
    .map(([turns, chance]) => ({ minutes: minutesOf(turns), chance }));
  const last = ends.at(-1)!.minutes;
  const scale = (WIDTH - 2 * EDGE) / Math.max(last * 1.06, 5);
  const x = (minutes: number): number => EDGE + minutes * scale;
  const peak = Math.max(...ends.map((end) => end.chance));
  const half = (chance: number): number => 3 + 19 * (chance / peak);
  const always = ends.length === 1;
  const outline = [`M${x(0)} ${MIDDLE - 3}`, `L${x(ends[0]!.minutes - 0.6)} ${MIDDLE - 3}`];
  ends.forEach((end) => outline.push(`L${x(end.minutes)} ${MIDDLE - half(end.chance)}`));
  [...ends].reverse().forEach((end) => outline.push(`L${x(end.minutes)} ${MIDDLE + half(end.chance)}`));
  outline.push(`L${x(ends[0]!.minutes - 0.6)} ${MIDDLE + 3}`, `L${x(0)} ${MIDDLE + 3}`, 'Z');
  const marks = always
    ? [{ at: length.minutes.p50, name: `every play: ${length.minutes.p50} min` }]
    : [
        { at: length.minutes.p50, name: `middle ${length.minutes.p50} min` },
        { at: length.minutes.p90, name: `90 in 100 by ${length.minutes.p90} min` },
      ];
  // Two names that would run into each other share one side each.
  const close = marks.length === 2 && x(marks[1]!.at) - x(marks[0]!.at) < 250;
  const told = `${always ? `Every play takes ${length.minutes.p50} minutes` : `Half of the plays are over by ${length.minutes.p50} minutes, 90 in 100 by ${length.minutes.p90}`}; ${plain(length.secondsPerTurn)} seconds a turn and ${length.setUpMinutes} minute to set up.`;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} 104`}
      width="100%"
      role="img"
      aria-label={told}
      style={{ maxWidth: 760, display: 'block' }}
    >
      <path
        d={outline.join(' ')}
        fill={color.straw}
        stroke={color.ink}
        strokeWidth="1.2"
        strokeLinejoin="round"
      />
      <path
        d={`M${x(0)} ${MIDDLE} L${x(last)} ${MIDDLE}`}
        stroke="#8a6a12"
        strokeWidth="1"
        strokeDasharray="7 5"
      />
      <circle cx={x(0)} cy={MIDDLE} r="5" fill={color.fern} />
      {marks.map((mark, i) => {
        const above = close && i === 0;
        // A name under the ribbon ends at its mark, unless it would begin before the ribbon does.
        const under = close && i === 1 && x(mark.at) > 190 ? 'end' : undefined;
        const anchor = x(mark.at) > WIDTH - 130 ? 'end' : x(mark.at) < 90 ? 'start' : 'middle';
        return (
          <g key={mark.name}>
            <path
              d={`M${x(mark.at)} ${above ? 16 : 12} V${above ? 66 : 70}`}
              stroke={color.deepFern}
              strokeWidth="2"
            />
            <text
              x={x(mark.at)}
              y={above ? 12 : 88}
              textAnchor={under ?? (close && i === 1 ? 'start' : anchor)}
              fontFamily={type.body}
              fontSize="16"
              fill={color.ink}
              fontWeight="700"
            >
              {mark.name}
            </text>
          </g>
        );
      })}
      {x(marks.at(-1)!.at) > 270 && (
        <text x={x(0) - 5} y={88} fontFamily={type.body} fontSize="16" fill={color.faint}>
          set up
        </text>
      )}
    </svg>
  );
}
