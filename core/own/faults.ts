/** What is wrong with a definition that has the right shape. */
import type { FieldErrors } from '~/core/check/check';
import { argumentsOf, digitsIn } from '~/core/words/inspect';
import { format } from '~/core/words/message';
import { tooMuch } from './cost';
import { OWN_ARGUMENTS, STEP_PARTS, type OwnGame } from './definition';
import { expected, results } from './reckon';

/** Most dice, cards or spins in one turn; counters may be more. */
const MOST_RESULTS = 3;

/**
 * What no schema can say about a definition of the right shape: whether it makes a game, and whether its sentences
 * name the numbers they should. Keys are paths with dots. Runs in the browser too, where Ajv may not.
 */
export const ownFaults = (own: OwnGame): FieldErrors => ({ ...ruleFaults(own), ...wordFaults(own) });

function ruleFaults(own: OwnGame): FieldErrors {
  const { turn, make, end, cells, players } = own;
  const errors: FieldErrors = {};
  if (players.fewest > players.most)
    errors['players.most'] = `Most players must be at least ${players.fewest}.`;
  if (turn.kind !== 'toss' && turn.from > turn.to)
    errors['turn.to'] = `Numbers to must be at least ${turn.from}.`;
  if (turn.kind === 'toss' && turn.count < 2) errors['turn.count'] = 'Toss at least 2 counters.';
  if (turn.kind !== 'toss' && turn.count > MOST_RESULTS)
    errors['turn.count'] = `At most ${MOST_RESULTS} in one turn: more are too many to add in the head.`;
  if (turn.kind === 'show' && turn.count > 1) errors['turn.count'] = 'One card is shown at a time.';
  if (turn.kind === 'draw' && turn.count > (turn.to - turn.from + 1) * turn.copies)
    errors['turn.count'] = 'There are fewer cards than are drawn in a turn.';
  if (
    (make === 'difference' || make === 'compare' || make === 'product') &&
    turn.kind !== 'toss' &&
    turn.count < 2
  )
    errors['turn.count'] = 'This takes at least 2 numbers in a turn.';
  if (make === 'difference' && turn.kind !== 'toss' && turn.count > 2)
    errors['turn.count'] = 'A difference is between 2 numbers.';
  if (end.when === 'covered' && make !== 'cover')
    errors['end.when'] = 'Only a game with cells to cover can end so.';
  if (end.when === 'reached' && make !== 'path' && make !== 'collect')
    errors['end.when'] = 'Only a path or a collection can reach a number.';
  if (make === 'cover' && cells.length === 0) errors.cells = 'Name the cells to cover.';
  if (Object.keys(errors).length) return errors;
  const possible = results(own, own.turn.count);
  const never = cells.filter((cell) => !possible.has(cell));
  if (make === 'cover' && never.length)
    errors.cells = `No turn gives ${[...new Set(never)].join(', ')}: ${never.length === 1 ? 'this cell' : 'these cells'} could never be covered.`;
  if (end.when === 'reached' && expected(own, own.turn.count) <= 0)
    errors['turn.to'] = 'Every turn gives 0: nothing could ever be reached.';
  if (Object.keys(errors).length) return errors;
  const { count } = turn;
  // The knobs of the bench begin where the game was made; the number of players is the largest there is.
  return tooMuch(own, { players: players.most, count, number: end.number, cells });
}

function wordFaults(own: OwnGame): FieldErrors {
  const errors: FieldErrors = {};
  const known = Object.keys(OWN_ARGUMENTS);
  // A name is plain text: braces and figures in it are meant as they stand.
  for (const language of ['en', 'es'] as const)
    if (own.name[language].trim() === '')
      errors[`name.${language}`] = `Name, ${language === 'en' ? 'English' : 'Spanish'}, must not be empty.`;
  const check = (path: string, title: string, pair: { en: string; es: string }): void => {
    const found: string[][] = [];
    for (const language of ['en', 'es'] as const) {
      const at = `${path}${language}`;
      if (pair[language].trim() === '') {
        errors[at] = `${title}, ${language === 'en' ? 'English' : 'Spanish'}, must not be empty.`;
        continue;
      }
      let names: string[];
      try {
        names = argumentsOf(pair[language]);
      } catch {
        errors[at] =
          `${title}: a brace is open or closed where it should not be. Write numbers as {players}.`;
        return;
      }
      found.push(names);
      if (!canBeSaid(pair[language], language))
        errors[at] = `${title}: this cannot be said for every number. Write numbers plainly, as {players}.`;
      const strange = names.filter((name) => !known.includes(name));
      if (strange.length)
        errors[at] =
          `${title}: there is no number called {${strange[0]}}. The numbers are ${known.map((name) => `{${name}}`).join(', ')}.`;
      const digits = digitsIn(pair[language]);
      if (digits.length)
        errors[at] =
          `${title}: write “${digits[0]}” as one of the numbers ({count}, {goal} …) or as a word, so that it stays right when the game is changed.`;
    }
    if (
      found.length === 2 &&
      !errors[`${path}en`] &&
      !errors[`${path}es`] &&
      found[0]!.join() !== found[1]!.join()
    )
      errors[`${path}es`] =
        `${title}: both languages must name the same numbers (${found[0]!.map((name) => `{${name}}`).join(', ') || 'none'} in English, ${found[1]!.map((name) => `{${name}}`).join(', ') || 'none'} in Spanish).`;
  };
  check('goal.', 'Goal', own.goal);
  own.steps.forEach((step, i) => check(`steps.${i}.`, `Step ${i + 1}`, step));
  for (const part of ['setUp', 'turn', 'end'] as const)
    if (!own.steps.some((step) => step.part === part))
      errors.steps ??= `A step “${STEP_PARTS[part]}” is missing.`;
  return errors;
}

/** Whether a sentence comes out for small and large numbers, whatever plurals and forms of numbers are in it. */
function canBeSaid(message: string, language: 'en' | 'es'): boolean {
  const names = [...Object.keys(OWN_ARGUMENTS), ...argumentsOf(message)];
  try {
    for (const number of [0, 1, 2, 11, 200])
      format(message, language, Object.fromEntries(names.map((name) => [name, number])));
    return true;
  } catch {
    return false;
  }
}
