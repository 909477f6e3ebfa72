/** What a game says. */
import { expect, it } from 'vitest';
import { seeded } from '~/core/chance/random';
import { argumentsOf } from '~/core/words/inspect';
import { linesOf, say } from '~/core/words/reading';
import { exampleArgs } from '../examples';
import { assume, STEP_PARTS } from '../types';
import { anySettings, READINGS, type Tried } from './tried.testing';

/** The languages whose sentences the expressions below can judge. */
const PLAIN = READINGS.filter(({ language }) => ['en', 'es'].includes(language));

/** "1 cards" and the like: one of something that is said as many. Players have numbers, which are no counts. */
function oneAsMany(text: string): string | undefined {
  const plain = text.replace(/\b(player|participante) \d+/gi, '');
  return /(?<![\d.,:÷×+−–-] ?|\d \p{L}+ )\b1 (?!(?:is|es|as|was|has|belongs|less|plus|minus|makes|más|menos)\b)\p{L}+s\b/u.exec(
    plain,
  )?.[0];
}

/** What a sentence says that its own numbers belie, or that nobody would say; undefined when all is well. */
function untrue(text: string): string | undefined {
  // What was left standing of the code that made it.
  const code = /''|[{}$`]/.exec(text);
  if (code) return code[0];
  const same = /(?<![\d.,])(\d[\d.,]*) (?:[a-z]+ )?instead of \1(?![\d.,]*\d)/.exec(text);
  if (same) return same[0];
  const less = /(\d+) [a-z ]*instead of (\d+): (\d+) fewer/.exec(text);
  if (less && Number(less[2]) - Number(less[1]) !== Number(less[3])) return less[0];
  const share = /(\d[\d.]*) (?:in|of) 100(?!\d)/.exec(text);
  if (share && Number(share[1]) > 100) return share[0];
  const often = /\b(?:always|never) (?:games|targets|players|cards|rounds|deals|times)\b/.exec(text);
  if (often) return often[0];
  // Nobody is told to take, lay or print none of a thing.
  return /(?:^|[.;:] )(?:[Tt]ake|[Ll]ay|[Pp]rint|[Cc]ount|[Cc]halk|[Cc]ut|[Kk]eep|[Mm]ix in|[Mm]ake|[Uu]se|[Oo]nly) 0\b/.exec(
    text,
  )?.[0];
}

/** Steps, sentences and coaching lines, in every language that ships. */
export function holdsWords({ game, good }: Tried): void {
  it('tells its steps in every language with all their numbers', () => {
    for (const variant of good) {
      const steps = variant.steps();
      for (const part of STEP_PARTS)
        expect([part, steps.some((step) => step.part === part)]).toEqual([part, true]);
      for (const step of steps) {
        expect(game.words.en).toHaveProperty([step.id]);
        expect(argumentsOf(game.words.en[step.id]!).filter((name) => !(name in step.args))).toEqual([]);
        for (const reading of READINGS)
          expect(say(reading, game.words, step.id, step.args)).not.toMatch(/[{}]|undefined|NaN/);
      }
      for (const reading of READINGS) expect(say(reading, game.words, 'goal', variant.about())).toBeTruthy();
    }
  });

  it('never speaks of fighting', () => {
    for (const reading of READINGS)
      for (const message of Object.values(linesOf(reading, game.words)))
        expect(
          message.match(/\b(fight|battle|war|attack|enemy|kill|guerra|batalla|ataca|enemigo)/i),
        ).toBeNull();
  });

  it('says one of a thing as one, and nothing that its numbers belie', () => {
    const wrong = new Set<string>();
    for (const variant of [...good, ...anySettings(game, 120)]) {
      const reckoning = variant.reckon(assume('g1'));
      const said = [
        ...PLAIN.flatMap((reading) =>
          [{ id: 'goal', args: variant.about() }, ...variant.steps()].map((step) =>
            say(reading, game.words, step.id, step.args),
          ),
        ),
        variant.subject(),
        ...reckoning.explained.map(({ reason }) => reason),
        ...reckoning.parts.map(({ reason }) => reason),
        ...reckoning.notices.flatMap(({ text, mend }) => [text, mend?.label ?? '']),
        ...reckoning.prep,
      ];
      let turns = 0;
      for (const turn of variant.play(seeded(6))) {
        if (++turns > 30) break;
        for (const { id, args } of [turn, turn.coach].filter((one) => one !== undefined))
          for (const reading of PLAIN) said.push(say(reading, game.words, id, args));
      }
      for (const text of said) if (oneAsMany(text) ?? untrue(text)) wrong.add(text);
    }
    expect([...wrong]).toEqual([]);
  });

  it('has no line that is never said', () => {
    const said = new Set(['name', 'goal']);
    for (const variant of good) for (const step of variant.steps()) said.add(step.id);
    for (const variant of good) {
      const random = seeded(4);
      for (let i = 0; i < 8; i++)
        for (const turn of variant.play(random)) {
          said.add(turn.id);
          if (turn.coach) said.add(turn.coach.id);
        }
    }
    const never = Object.keys(game.words.en).filter((id) => !said.has(id) && !id.startsWith('sheet.'));
    expect(never).toEqual([]);
  });

  it('can be read line by line in every language', () => {
    const args = exampleArgs(game);
    for (const id of Object.keys(game.words.en))
      for (const reading of READINGS)
        expect(say(reading, game.words, id, args[id])).not.toMatch(/undefined|NaN|[{}]/);
  });
}
