/** Both ways in one picture: each figure on a line of its own, from nothing to its largest value, with intervals. */
import type { Compared, Estimate } from './compare';
import { WAYS, type Way } from './ways';

const [LEFT, WIDE, RIGHT, ROW, TOP] = [230, 420, 330, 62, 74];
const COLOR = {
  ink: '#22312A',
  faint: '#5c6a62',
  line: '#d8d2c0',
  paper: '#FBF7EC',
  fern: '#2F6B4A',
  clay: '#B4532F',
};
const FONT = "'Atkinson Hyperlegible Next', sans-serif";
const OF: Readonly<Record<Way, string>> = { firstCome: COLOR.clay, rounds: COLOR.fern };

interface Type {
  size?: number;
  fill?: string;
  bold?: boolean;
}
const text = (x: number, y: number, said: string, { size = 15, fill = COLOR.ink, bold }: Type = {}): string =>
  `<text x="${x}" y="${y}" font-family="${FONT}" font-size="${size}" fill="${fill}"${bold ? ' font-weight="700"' : ''}>${said}</text>`;
/** A round mark for hand-outs, a square one for first come: told apart without colour. */
const mark = (way: Way, x: number, y: number): string =>
  way === 'rounds'
    ? `<circle cx="${x}" cy="${y}" r="7" fill="${OF[way]}"/>`
    : `<rect x="${x - 6}" y="${y - 6}" width="12" height="12" fill="${OF[way]}"/>`;

/** An SVG of what many years show. */
export function chart(rows: readonly Compared[], years: number): string {
  const width = LEFT + WIDE + RIGHT;
  const height = TOP + rows.length * ROW + 20;
  const parts = [
    text(20, 28, `Two ways to run a school, ${years} simulated years each`, { size: 18, bold: true }),
    ...(['rounds', 'firstCome'] as const).flatMap((way, i) => [
      mark(way, 28 + i * 260, 50),
      text(42 + i * 260, 55, WAYS[way]),
    ]),
  ];
  rows.forEach(({ label, unit, ways, best, difference }, i) => {
    const y = TOP + i * ROW;
    const most = Math.max(ways.rounds.high, ways.firstCome.high, 1e-9);
    const x = (value: number): number => LEFT + (Math.max(0, value) / most) * WIDE;
    parts.push(
      `<line x1="0" x2="${width}" y1="${y}" y2="${y}" stroke="${COLOR.line}"/>`,
      text(20, y + 26, label, { bold: true }),
      text(20, y + 46, unit, { fill: COLOR.faint }),
    );
    (['rounds', 'firstCome'] as const).forEach((way, k) => {
      const { mean, low, high }: Estimate = ways[way];
      const at = y + 21 + k * 22;
      parts.push(
        `<line x1="${LEFT}" x2="${x(mean).toFixed(1)}" y1="${at}" y2="${at}" stroke="${COLOR.line}" stroke-width="7"/>`,
        `<line x1="${x(low).toFixed(1)}" x2="${x(high).toFixed(1)}" y1="${at}" y2="${at}" stroke="${OF[way]}" stroke-width="2"/>`,
        mark(way, Number(x(mean).toFixed(1)), at),
        text(LEFT + WIDE + 18, at + 5, mean.toFixed(most < 1 ? 2 : 1)),
      );
    });
    parts.push(
      text(
        LEFT + WIDE + 80,
        y + 37,
        best === undefined
          ? 'no difference shown'
          : `${difference.mean > 0 ? '+' : '−'}${Math.abs(difference.mean).toFixed(1)}, hand-outs ${best === 'rounds' ? 'better' : 'worse'}`,
        best === undefined ? { fill: COLOR.faint } : { bold: true },
      ),
    );
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" role="img" aria-label="Two ways to run a school">
<rect width="${width}" height="${height}" fill="${COLOR.paper}"/>
${parts.join('\n')}
</svg>
`;
}
