/**
 * A rehearsal: a few turns of a game with a simulated child of a chosen age, who makes the mistakes that are usual with
 * what the game practises. To each there are words that help and words that do not; each shows what it does, and why.
 */
import { UNARY, type Fact } from '~/core/cards/facts';
import { pick, seeded, shuffled, type Random } from '~/core/chance/random';
import type { Variant } from '~/core/games/kit/game';
import { assume, type AgeBand, type Practised, type Turn } from '~/core/games/kit/types';
import { LEVEL_OF } from '~/core/lending/children';
import { demandOf } from '~/core/listening/demand';
import type { Args } from '~/core/words/message';
import type { RehearseMessage } from '~/core/words/rehearse';
import { FORGETS, MISTAKES, TASKS, WORDLESS, type Mistake } from './mistakes';

export interface Line {
  id: RehearseMessage;
  args: Args;
}
/** Something to say, what the child does then, and why. */
export interface Choice {
  say: Line;
  then: Line;
  why: Line;
  /** It helps the child on. */
  helps: boolean;
}
/** A turn: what there is to do, what the child does, what can be said, and how the game itself goes on. */
export interface Scene {
  fact: Fact;
  task: Line;
  child: Line;
  mistaken: boolean;
  choices: Choice[];
  turn: Turn;
}

/** So many turns take about three minutes. */
export const TURNS = 6;
/** So many turns of a play are looked through for such as can be rehearsed. */
const LOOKED_THROUGH = 60;
/** At least so many of them go wrong: that is what is rehearsed. */
const LEAST_MISTAKES = 3;

/** The numbers a turn speaks of, in its order: those of a calculation it quotes, where it quotes one; not who plays. */
function numbersIn(args: Args): number[] {
  const parts = Object.entries(args)
    .filter(([name]) => name !== 'player')
    .map(([, value]) => value);
  const quoted = parts.find((value) => typeof value === 'string' && /\d\s*[+−×÷]/.test(value));
  return parts
    .filter((value) => quoted === undefined || value === quoted || typeof value === 'number')
    .flatMap((value) =>
      typeof value === 'number' ? [value] : (String(value).match(/\d+/g) ?? []).map(Number),
    );
}

/**
 * How well a fact fits the numbers of a turn: how many of its own are among them. Of those that fit alike the one whose
 * first number comes first, so that 9 − 5 is not taken for 4 + 5.
 */
function fit({ op, a, b, answer }: Fact, numbers: readonly number[]): number {
  const left = [...numbers];
  const own = UNARY.has(op) ? [a] : [a, b, answer];
  return own.reduce((sum, n, role) => {
    const at = left.indexOf(n);
    if (at < 0) return sum;
    left[at] = Number.NaN;
    return sum + 1 - at * 0.001 * 0.01 ** role;
  }, 0);
}

/** The facts that a turn is about: those that fit its numbers best; none where no number of theirs is in it. */
function factsOf(turn: Turn, practice: readonly Practised[]): Fact[] {
  const numbers = numbersIn(turn.args);
  const fits = practice.map(({ fact }) => ({ fact, fits: fit(fact, numbers) }));
  const best = Math.max(0, ...fits.map((one) => one.fits));
  return best === 0 ? [] : fits.filter((one) => one.fits >= best - 1e-12).map(({ fact }) => fact);
}

const line = (id: RehearseMessage, args: Args = {}): Line => ({ id, args });

function choicesFor(
  mistake: Mistake | undefined,
  met: Fact,
  near: boolean,
  ready: boolean,
  random: Random,
): Choice[] {
  const wordless = WORDLESS.has(met.op);
  const { a, b, answer } = met;
  const choices: Choice[] = mistake
    ? [
        {
          say: line(mistake.help, {
            a: mistake.help === 'say.on' ? Math.max(a, b) : a,
            b,
          }),
          then: line(ready ? 'then.finds' : 'then.part'),
          why: line('why.help'),
          helps: true,
        },
        wordless || mistake.wrong === undefined
          ? { say: line('say.do'), then: line('then.repeats'), why: line('why.tell'), helps: false }
          : {
              say: line('say.tell', { answer }),
              then: line('then.repeats'),
              why: line('why.tell'),
              helps: false,
            },
        { say: line('say.no'), then: line('then.stops'), why: line('why.no'), helps: false },
        {
          say: line('say.wait'),
          then: line(near ? 'then.finds' : 'then.waits'),
          why: line(near ? 'why.wait' : 'why.waitNot'),
          helps: near,
        },
      ]
    : [
        { say: line('say.how'), then: line('then.tells'), why: line('why.how'), helps: true },
        { say: line('say.clever'), then: line('then.glad'), why: line('why.clever'), helps: false },
        { say: line('say.quick'), then: line('then.hurries'), why: line('why.quick'), helps: false },
      ];
  return shuffled(choices, random);
}

/** How likely a child is mistaken, by how far the game is from it, in school years. */
const mistakeChance = (level: number, demand: number): number =>
  0.25 + 0.6 / (1 + Math.exp(2 * (level - demand)));

/**
 * The scenes of a rehearsal: the same for the same seed. At least half of them show a mistake, wherever the game has a
 * usual one. Empty for a game that practises nothing that can be rehearsed.
 */
export function rehearsal(variant: Variant, band: AgeBand, seed: number): Scene[] {
  const random = seeded(seed);
  const { practice } = variant.reckon(assume(band));
  const level = LEVEL_OF[band];
  const demand = demandOf(practice)?.demand ?? level;
  const turns: Turn[] = [];
  for (const turn of variant.play(seeded(seed))) {
    turns.push(turn);
    if (turns.length === LOOKED_THROUGH) break;
  }
  if (turns.length === 0 || practice.length === 0) return [];
  const told = turns
    .map((turn) => ({ turn, facts: factsOf(turn, practice) }))
    .filter(({ facts }) => facts.length > 0);
  // What speaks of no number of its own is told with a fact like those the game practises.
  const all = told.length ? told : turns.map((turn) => ({ turn, facts: [pick(practice, random).fact] }));
  // Where two alike are all that is ever compared, a card is looked for that fits another.
  const fits = practice.every(({ fact: { op, a, b } }) => op !== 'compare' || a === b);
  const scenes: Scene[] = [];
  const usualOf = ({ facts }: (typeof all)[number]) =>
    facts.flatMap((met) =>
      MISTAKES[met.op]
        .filter((mistake) => mistake.shows(met) && (fits || mistake !== FORGETS))
        .map((mistake) => ({ met, mistake })),
    );
  const able = all.filter((one) => usualOf(one).length > 0);
  for (let i = 0; i < TURNS; i++) {
    const missing = LEAST_MISTAKES - scenes.filter(({ mistaken }) => mistaken).length;
    const must = missing >= TURNS - i;
    const from = must && able.length ? able : all;
    const one = from[i % from.length]!;
    const { turn, facts } = one;
    const usual = usualOf(one);
    const chosen =
      usual.length > 0 && (random.chance(mistakeChance(level, demand)) || must)
        ? pick(usual, random)
        : undefined;
    const met = chosen?.met ?? pick(facts, random);
    // A child for whom the game is not too hard finds most mistakes itself, when it is given time.
    const near = level >= demand && random.chance(0.6);
    const ready = level >= demand - 1;
    const numbers = { a: met.a, b: met.b };
    const child = chosen
      ? line(chosen.mistake.child, chosen.mistake.wrong ? { wrong: chosen.mistake.wrong(met, random) } : {})
      : WORDLESS.has(met.op) || (met.op === 'compare' && met.a === met.b)
        ? line('child.does')
        : line('child.right', { answer: met.answer });
    scenes.push({
      fact: met,
      task: fits && met.op === 'compare' ? line('turn.card', { a: met.a }) : line(TASKS[met.op], numbers),
      child,
      mistaken: chosen !== undefined,
      choices: choicesFor(chosen?.mistake, met, near, ready, random),
      turn,
    });
  }
  return scenes;
}
