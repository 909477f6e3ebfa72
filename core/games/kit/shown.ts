/** What was reckoned as it is read, and two settings line by line. */
import { materialOf } from '~/core/materials/catalogue';
import { count, hundredths, plain, unitFor } from '~/core/words/numbers';
import type { Knob } from './knobs';
import { CHANCE, type Figure, type Params, type ParamValue, type Reckoning } from './types';

/** A figure's number as it is read, with its error where it was simulated; chances in hundredths. */
export function shown({ value, unit, error }: Figure): { number: string; unit: string } {
  const chance = unit === CHANCE;
  const said = chance ? 'in 100' : unitFor(value, unit);
  if (error === undefined || error === 0)
    return { number: chance ? hundredths(value) : plain(value), unit: said };
  // As many decimals as the error leaves meaning in.
  const scale = chance ? 100 : 1;
  const decimals = Math.min(4, Math.max(0, -Math.floor(Math.log10(error * scale))));
  return {
    number: `${(value * scale).toFixed(decimals)} ± ${(error * scale).toFixed(decimals)}`,
    unit: said,
  };
}

/** Players and room, in a sentence. */
export const roomOf = ({ players, space }: Reckoning): string =>
  `${players.fewest === players.most ? count(players.most, 'player') : `${players.fewest} to ${count(players.most, 'player')}`}, ${
    space.place === 'outdoors' ? 'outdoors' : `on ${space.place === 'table' ? 'a table' : 'the floor'}`
  }: about ${(space.widthMm / 1000).toFixed(1)} × ${(space.depthMm / 1000).toFixed(1)} m.`;

/** One line of a comparison: the same thing of both. */
export interface Line {
  what: string;
  of: [string, string];
}

/** How a parameter's value is read. */
export function read(knob: Knob, value: ParamValue): string {
  const label = (one: string | number): string =>
    'options' in knob
      ? (knob.options.find((option) => option.value === String(one))?.label ?? String(one))
      : String(one);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (Array.isArray(value)) return value.length ? value.map(label).join(', ') : 'none';
  if (typeof value === 'object') {
    const pair = value as Readonly<Record<string, number>>;
    return 'w' in pair ? `${pair.w} × ${pair.h}` : `${pair.from} to ${pair.to}`;
  }
  return label(value);
}

const NONE = '–';

interface Setting {
  knobs: readonly Knob[];
  params: Params;
}

/** Line by line: settings, length, practice, room, figures and parts of both. */
export function linesOf(
  settings: readonly [Setting, Setting],
  reckonings: readonly [Reckoning, Reckoning],
): Line[] {
  const both = (what: string, of: (reckoning: Reckoning) => string): Line => ({
    what,
    of: [of(reckonings[0]), of(reckonings[1])],
  });
  const union = (of: (i: 0 | 1) => string[]): string[] => [...new Set([...of(0), ...of(1)])];
  const knobs = union((i) => settings[i].knobs.map((knob) => knob.title)).map((title): Line => {
    const value = (i: 0 | 1): string => {
      const knob = settings[i].knobs.find((one) => one.title === title);
      return knob ? read(knob, settings[i].params[knob.name]!) : NONE;
    };
    return { what: title, of: [value(0), value(1)] };
  });
  const figures = union((i) => reckonings[i].explained.map((figure) => figure.name)).map((name): Line => {
    const of = (i: 0 | 1) => reckonings[i].explained.find((figure) => figure.name === name);
    const value = (i: 0 | 1): string => {
      const figure = of(i);
      if (!figure) return NONE;
      const { number, unit } = shown(figure);
      return `${number} ${unit}`.trim();
    };
    return { what: (of(0) ?? of(1))!.label, of: [value(0), value(1)] };
  });
  const parts = union((i) => reckonings[i].parts.map((part) => part.material)).map((material): Line => {
    const value = (i: 0 | 1): string => {
      const part = reckonings[i].parts.find((one) => one.material === material);
      return part ? plain(part.enough) : NONE;
    };
    return { what: `Enough ${materialOf(material).plural}`, of: [value(0), value(1)] };
  });
  const lines = [
    both('Minutes of one play', ({ length }) => `${length.minutes.mean}; 90 in 100 by ${length.minutes.p90}`),
    both('Practises', ({ skills }) => skills.join(', ')),
    both('Players and room', roomOf),
    ...knobs,
    ...figures,
    ...parts,
  ];
  // A setting and a figure may have the same name; each line keeps its own.
  return lines.filter((line, i) => lines.findIndex((one) => one.what === line.what) === i);
}
