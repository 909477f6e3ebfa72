import { AGE_BANDS } from '~/core/games/kit/types';
import { color, type } from '~/app/ui/theme';

const [FROM, TO] = [-1, 5.4];
const WIDTH = 640;
const LEFT = 16;
const at = (level: number): number =>
  LEFT + ((Math.min(TO, Math.max(FROM, level)) - FROM) / (TO - FROM)) * (WIDTH - 2 * LEFT);
const NAMES = Object.values(AGE_BANDS).map((name) =>
  name.replace('kindergarten', 'K').replace(' and up', ' +'),
);
const text = { fontFamily: type.body, fontSize: 15, fill: color.ink } as const;

export interface OnRuler {
  label: string;
  level: number;
}

/** A ruler of school years: a ribbon where a child is, thickest where it most likely is, and what games ask below it. */
export function LevelRuler({
  mean,
  from,
  to,
  asks,
  label,
}: {
  mean: number;
  from: number;
  to: number;
  asks: readonly OnRuler[];
  /** What the picture shows, for who does not see it. */
  label: string;
}) {
  const height = 84 + asks.length * 24;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      role="img"
      aria-label={label}
      style={{ width: '100%', maxWidth: WIDTH, height: 'auto' }}
    >
      {NAMES.map((name, year) => (
        <g key={name}>
          <line x1={at(year)} x2={at(year)} y1={22} y2={height - 4} stroke={color.line} strokeWidth={1} />
          <text x={at(year)} y={15} textAnchor="middle" {...text} fill={color.faint}>
            {name}
          </text>
        </g>
      ))}
      <path
        d={`M${at(from)} 46 Q${at(mean)} 26 ${at(to)} 46 Q${at(mean)} 66 ${at(from)} 46Z`}
        fill={color.sprout}
        stroke={color.fern}
        strokeWidth={1.5}
      />
      <line x1={at(mean)} x2={at(mean)} y1={34} y2={58} stroke={color.deepFern} strokeWidth={4} />
      {asks.map(({ label: name, level }, i) => {
        const x = at(level);
        const y = 84 + i * 24;
        const right = x < WIDTH * 0.6;
        return (
          <g key={name}>
            <path d={`M${x} ${y - 6} l6 6 l-6 6 l-6 -6Z`} fill={color.clay} />
            <text x={right ? x + 12 : x - 12} y={y + 5} textAnchor={right ? 'start' : 'end'} {...text}>
              {name}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
