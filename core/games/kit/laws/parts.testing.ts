/** What a game's steps name is in the bag or at home, and what is in the bag is named. */
import { expect, it } from 'vitest';
import type { MaterialId } from '~/core/materials/catalogue';
import { ENGLISH, say } from '~/core/words/reading';
import { assume } from '../types';
import { anySettings, type Tried } from './tried.testing';

/** How a family calls a part. What nobody has to be told of (a plan for whoever prepares the game) has no name here. */
const CALLED: Partial<Record<MaterialId, RegExp>> = {
  'two-colour-counter': /\bcounters?\b/i,
  chip: /\bchips?\b/i,
  piece: /\bpieces?\b/i,
  cube: /\b(?:cubes?|blocks?)\b/i,
  block: /\bblocks?\b/i,
  die: /\b(?:die|dice)\b/i,
  'card-deck': /\b(?:deck|cards?|jacks|aces?)\b/i,
  tile: /\b(?:dominoe?s?|tiles?)\b/i,
  cup: /\bcups?\b/i,
  'small-cup': /\bcups?\b/i,
  peg: /\b(?:pegs?|clothespins?)\b/i,
  pin: /\bpins?\b/i,
  ball: /\bball\b/i,
  'bean-bag': /\bbags?\b/i,
  'hop-stone': /\bstones?\b/i,
  token: /\b(?:tokens?|stones?)\b/i,
  animal: /\banimals?\b|\bducks?\b|\bfrogs?\b/i,
  'paper-clip': /\bclip\b/i,
  cover: /\bcloth\b/i,
  'wipe-marker': /\b(?:marker|write|wipe)\b/i,
  'floor-stone': /\bstones?\b/i,
  pencil: /\b(?:pencils?|write|draw|record|color)\b/i,
  dough: /\b(?:dough|balls?)\b/i,
  chalk: /\bchalk\b/i,
  'record-sheet': /\b(?:write|record|sheet|draw)\b/i,
  'peg-card': /\bcards?\b/i,
  'sum-card': /\bcards?\b/i,
  nest: /\bnests?\b/i,
  'cut-shape': /\bshapes?\b/i,
  'shape-board': /\bboard\b/i,
  'triangle-card': /\b(?:triangles?|cards?)\b/i,
  'colour-card': /\bcards?\b/i,
  board: /\bboards?\b/i,
  slip: /\bslips?\b/i,
  mat: /\bmats?\b/i,
  spinner: /\bspinner\b/i,
  'number-card': /\b(?:numeral|number) cards?\b|\bcard\b/i,
  'frame-card': /\bframes?\b/i,
  'dot-card': /\bcards?\b/i,
  'score-strip': /\bstrips?\b/i,
  'picture-card': /\bcards?\b/i,
  'sentence-card': /\bcards?\b/i,
  'puzzle-piece': /\b(?:puzzles?|pieces?|parts?)\b/i,
  path: /\bpath\b/i,
  'sign-card': /\b(?:sign|<|>)/i,
  'number-line': /\bnumber line\b/i,
  'measuring-strip': /\bmeasuring strips?\b/i,
  'ten-rod': /\bten-rods?\b/i,
  'operation-card': /\boperation cards?\b/i,
  shield: /\b(?:shield|cereal)\b/i,
};

/** Words that name one part and nothing else, and the parts that they can mean. */
const NAMED: readonly (readonly [word: RegExp, parts: readonly MaterialId[]])[] = [
  [/\bspinner\b/i, ['spinner']],
  [/\bpaper clip\b/i, ['paper-clip']],
  [/\bnumeral cards?\b/i, ['number-card']],
  [/\bframe cards?\b/i, ['frame-card']],
  [/\bsum cards?\b/i, ['sum-card']],
  [/\bsentence cards?\b/i, ['sentence-card']],
  [/\bdot cards?\b/i, ['dot-card']],
  [/\bnumber line\b/i, ['number-line']],
  [/\bmeasuring strips?\b/i, ['measuring-strip']],
  [/\bten-rods?\b/i, ['ten-rod']],
  [/\boperation cards?\b/i, ['operation-card']],
  [/\bslips?\b/i, ['slip']],
  [/\bnests?\b/i, ['nest']],
  [/\b(?:dice|die)\b/i, ['die']],
  [/\bcounters?\b/i, ['two-colour-counter']],
  [/\bchips?\b/i, ['chip', 'two-colour-counter']],
  [/\bblocks?\b/i, ['block', 'cube']],
  [/\bcubes?\b/i, ['cube']],
  [/\bcups?\b/i, ['cup', 'small-cup']],
  [/\bdough\b/i, ['dough']],
  [/\bbean bags?\b/i, ['bean-bag']],
  [/\bpegs?\b/i, ['peg']],
  [/\bmarker\b/i, ['wipe-marker']],
  [/\bpencil\b/i, ['pencil']],
  [/\bdeck\b/i, ['card-deck']],
  [/\bspin\b/i, ['spinner']],
  [/\bboards?\b/i, ['board', 'shape-board', 'mat']],
];

/** Steps that speak of what the bag holds: how it is laid out, and a turn of it. */
const FROM_THE_BAG = ['setUp', 'turn', 'end'];

/** The bag and the steps say the same. */
export function holdsParts({ game, presets }: Tried): void {
  it('names every part of the bag in a step, and no part in a step that is not in the bag', () => {
    const wrong = new Set<string>();
    for (const variant of [...presets.map((one) => one.variant), ...anySettings(game, 50, 23)]) {
      const { parts, notices } = variant.reckon(assume('g1'));
      if (notices.some(({ severity }) => severity === 'stop')) continue;
      const bag = parts.map(({ material }) => material);
      const steps = variant.steps();
      const said = steps.map((step) => say(ENGLISH, game.words, step.id, step.args)).join(' ');
      const laid = steps
        .filter(({ part }) => FROM_THE_BAG.includes(part))
        .map((step) => say(ENGLISH, game.words, step.id, step.args))
        .join(' ');
      for (const material of bag)
        if (CALLED[material]?.test(said) === false) wrong.add(`${material} is in the bag and in no step`);
      for (const [word, can] of NAMED)
        if (word.test(laid) && !can.some((material) => bag.includes(material)))
          wrong.add(`“${word.exec(laid)![0]}” is in a step and not in the bag`);
    }
    expect([...wrong]).toEqual([]);
  });
}
