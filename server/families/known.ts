/** All that is known of a family as one file in plain words: theirs to read, and to take along. */
import { AGAIN, HOW, VIA } from '~/core/listening/answer';
import { CHANNELS } from '~/core/lending/families';
import { LEVELS } from '~/core/pack/questions';
import { gameNames } from '~/core/pack/names';
import { LOOKS } from '~/core/people/looks';
import { showTag } from '~/core/kits/tag';
import { aboutLanguage } from '~/core/words/languages';
import { count } from '~/core/words/numbers';
import { ENGLISH } from '~/core/words/reading';
import type { SchoolHandle } from '~/data/db';
import { pageOfAnswers, type AnswerRow } from '~/data/queries/listening';
import { knownOf, looksAt } from '~/data/queries/privacy';
import { logOf } from '~/data/queries/changes';
import { showTime } from '../changes';
import { today } from '../today';

const MOST = 5000;
const yes = (is: boolean): string => (is ? 'yes' : 'no');

/** A heading and the lines below it; nothing is left out in silence. */
const part = (title: string, lines: readonly string[]): string =>
  `${title}\n${'-'.repeat(title.length)}\n${lines.length ? lines.map(setOff).join('\n') : 'Nothing.'}\n`;
/** What somebody wrote in several lines is set off: none of them begins a line as if the school wrote it. */
const setOff = (line: string): string => line.replace(/[\n\r\v\f\u0085\u2028\u2029]+/g, '\n        > ');

function answerLines(at: SchoolHandle, { answer, games, plan, tag, kitName, pictures }: AnswerRow): string[] {
  const names = gameNames(plan.variants, ENGLISH);
  const told = [
    answer.times !== null && `played ${count(answer.times, 'time')}`,
    answer.minutes !== null && `about ${count(answer.minutes, 'minute')}`,
    answer.children !== null && count(answer.children, 'child', 'children'),
    answer.grownUps !== null && count(answer.grownUps, 'grown-up'),
    answer.again && `next: ${AGAIN[answer.again]}`,
  ].filter(Boolean);
  return [
    `${showTime(at, answer.sentAt)}, ${VIA[answer.via]}, about ${showTag(tag)}, ${kitName}${told.length ? `: ${told.join(', ')}` : ''}`,
    ...games.map(
      (game) =>
        `  ${names[game.position] ?? `game ${game.position + 1}`}: ${[
          game.said && LEVELS[game.said],
          game.child && `played by ${game.child}`,
          game.times !== null && count(game.times, 'time'),
          ...game.how.map((how) => HOW[how]),
          game.childSaid && `the child said “${game.childSaid}”`,
          game.changed && `changed “${game.changed}”`,
          game.unclear && 'a step was unclear',
        ]
          .filter(Boolean)
          .join(', ')}`,
    ),
    ...[
      answer.childDid && `  What the children did: “${answer.childDid}”`,
      answer.missing && `  Missing or broken: “${answer.missing}”`,
      answer.anythingElse && `  Anything else: “${answer.anythingElse}”`,
      pictures.length > 0 && `  ${count(pictures.length, 'picture')} of a child’s work`,
    ].filter((line): line is string => Boolean(line)),
  ];
}

/** The file; undefined where there is no such family. */
export async function knownText(
  at: SchoolHandle,
  school: string,
  familyId: string,
): Promise<string | undefined> {
  const known = await knownOf(at, familyId);
  if (!known) return undefined;
  const [{ answers }, changes, looks] = await Promise.all([
    pageOfAnswers(at, { familyId, first: 0, most: MOST }),
    logOf(at, 'family', familyId, MOST),
    looksAt(at, familyId, MOST),
  ]);
  const { family: one } = known;
  const { name: language } = aboutLanguage(one.language);
  return [
    `Everything that ${school} knows of ${one.name}`,
    `As it stood on ${today(at)}. This file is for the family itself.`,
    '',
    part('The family', [
      `Name: ${one.name}`,
      `Home language: ${language}`,
      `Other languages: ${one.speaks || 'none'}`,
      `Children: ${one.children.replaceAll('\n', '; ') || 'none'}`,
      `Class or group: ${one.group || 'none'}`,
      `How to reach them: ${one.reach || 'not known'}`,
      `Reminders: ${CHANNELS[one.channel]}; once a week at the most: ${yes(one.weekly)}`,
      `A child under three at home: ${yes(one.underThree)}`,
      `Allergens: ${one.allergens || 'none'}`,
      `Pictures of their children’s work are allowed: ${yes(one.pictures)}`,
      `Card: ${one.card ?? 'none'}`,
      `Entered: ${showTime(at, one.createdAt)}`,
    ]),
    part(
      'Bags they had',
      known.loans.map(
        ({ tag, kit, lentOn, dueOn, returnedOn, closedAs }) =>
          `${lentOn}: ${showTag(tag)}, ${kit}, due on ${dueOn}, ${
            closedAs === 'undone'
              ? 'taken back at once'
              : returnedOn
                ? `home on ${returnedOn}`
                : 'with them now'
          }`,
      ),
    ),
    part(
      'What happened to these loans',
      known.events.map(
        ({ kind, note, at: moment, tag }) =>
          `${showTime(at, new Date(moment))}: ${showTag(tag)} ${kind}${note ? `, ${note}` : ''}`,
      ),
    ),
    part(
      'What they told',
      [...answers].reverse().flatMap((row) => answerLines(at, row)),
    ),
    part(
      'Texts they sent',
      known.texts.map(
        ({ receivedAt, text, state }) =>
          `${showTime(at, new Date(receivedAt))}: “${text}” (${state === 'read' ? 'read as an answer' : state === 'aside' ? 'set aside' : 'waits for a person'})`,
      ),
    ),
    part(
      'Pictures of their children’s work',
      known.pictures.map(
        ({ createdAt, goesOn }) => `sent ${showTime(at, new Date(createdAt))}, deleted after ${goesOn}`,
      ),
    ),
    part(
      'What they waited for',
      known.holds.map(
        ({ kit, askedAt, closedAs }) =>
          `${showTime(at, new Date(askedAt))}: ${kit}, ${closedAs ?? 'still waiting'}`,
      ),
    ),
    part(
      'What was promised to them',
      known.promises.map(({ name, onDay, tag, why }) => `${onDay}, ${name}: ${showTag(tag)}. ${why}`),
    ),
    part(
      'What the school said to them',
      known.messages.flatMap(({ onDay, state, text, answered }) => [
        `${onDay} (${state}${answered ? `; they answered: ${answered}` : ''}):`,
        ...text.split('\n').map((line) => `  ${line}`),
      ]),
    ),
    part('Evenings they came to', [
      ...known.came.map(({ name, onDay }) => `${onDay}: ${name}`),
      ...known.tables.map(({ table, game, said, at }) => `${at}, ${table}, ${game}: ${LEVELS[said]}`),
    ]),
    part(
      'Who changed what is written about them',
      changes.map(
        ({ by, at: moment, kind, after }) =>
          `${showTime(at, moment)}: ${by}, ${kind}${after ? `: ${JSON.stringify(after)}` : ''}`,
      ),
    ),
    part(
      'Who looked',
      looks.map(({ by, what, at: moment }) => `${showTime(at, moment)}: ${by}, at ${LOOKS[what]}`),
    ),
  ].join('\n');
}
