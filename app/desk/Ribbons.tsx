import { color, type } from '~/app/ui/theme';

const [LEFT, COLUMN, TOP] = [110, 190, 34];
/** Between ribbons at one table, so that each has its name above it. */
const GAP = 22;
const text = { fontFamily: type.body, fontSize: 15, fill: color.ink } as const;
/** Each group has a line of its own by its stroke as well as by its colour. */
const STROKES = [color.fern, color.clay, color.shore, '#8a6a12', '#6b4a7a', color.deepFern] as const;
const DASHES = ['', '14 5', '3 5', '14 5 3 5'] as const;

export interface Ribbon {
  group: string;
  /** The place of its table in each round, from 0. */
  tables: readonly number[];
}

/** Groups as ribbons through the tables, round after round; the table below says the same. */
export function Ribbons({ tables, ribbons }: { tables: readonly string[]; ribbons: readonly Ribbon[] }) {
  const rounds = Math.max(0, ...ribbons.map((one) => one.tables.length));
  const width = LEFT + rounds * COLUMN + 30;
  const most = Math.max(
    1,
    ...tables.flatMap((_, t) =>
      Array.from({ length: rounds }, (_, r) => ribbons.filter((one) => one.tables[r] === t).length),
    ),
  );
  const ROW = most * GAP + 26;
  const height = TOP + tables.length * ROW;
  const x = (round: number): number => LEFT + round * COLUMN + COLUMN / 2;
  /** Groups at one table lie beside each other. */
  const y = (one: Ribbon, round: number): number => {
    const table = one.tables[round]!;
    const here = ribbons.filter((other) => other.tables[round] === table);
    return TOP + table * ROW + ROW / 2 + (here.indexOf(one) - (here.length - 1) / 2) * GAP + 5;
  };
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      style={{ width: '100%', maxWidth: width, height: 'auto' }}
      aria-hidden
    >
      {Array.from({ length: rounds }, (_, round) => (
        <text key={round} x={x(round)} y={18} textAnchor="middle" {...text} fill={color.faint}>
          round {round + 1}
        </text>
      ))}
      {tables.map((name, i) => (
        <g key={name}>
          <rect
            x={LEFT}
            y={TOP + i * ROW + 5}
            width={rounds * COLUMN}
            height={ROW - 10}
            rx={8}
            fill={color.paper}
            stroke={color.line}
          />
          <text x={LEFT - 10} y={TOP + i * ROW + ROW / 2 + 5} textAnchor="end" {...text}>
            {name}
          </text>
        </g>
      ))}
      {ribbons.map((one, i) => {
        const points = one.tables.map((_, round) => [x(round), y(one, round)] as const);
        const path = points
          .map(([px, py], r) => {
            if (r === 0) return `M${px - COLUMN / 3} ${py} L${px} ${py}`;
            const [bx, by] = points[r - 1]!;
            const middle = (bx + px) / 2;
            return `C${middle} ${by} ${middle} ${py} ${px} ${py}`;
          })
          .join(' ');
        return (
          <g key={one.group}>
            <path
              d={path}
              fill="none"
              stroke={STROKES[i % STROKES.length]}
              strokeWidth={4}
              strokeLinecap="round"
              strokeDasharray={DASHES[Math.floor(i / STROKES.length) % DASHES.length]}
              opacity={0.85}
            />
            {points.map(([px, py], r) => (
              <text key={r} x={px} y={py - 5} textAnchor="middle" {...text} fontSize={12}>
                {one.group}
              </text>
            ))}
          </g>
        );
      })}
    </svg>
  );
}
