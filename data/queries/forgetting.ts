/**
 * Every column that can hold the words of a family or about one, and how each of them is emptied when the family is
 * forgotten. A column that is neither here nor declared free of them does not pass its test: what is added later is
 * thought of when it is added.
 */
import { and, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { SchoolHandle } from '../db';
import {
  answer,
  answerGame,
  answerTheme,
  attendance,
  carried,
  family,
  familyLook,
  hallAct,
  hold,
  loan,
  message,
  printJob,
  promise,
  round,
  tableDevice,
  textReply,
} from '../schema';
import { forgetLog } from './changes';
import { ours } from './ours';
import { dropPicturesOf } from './pictures';

/** A family as it was before it was forgotten. */
export interface Leaving {
  id: string;
  name: string;
  reach: string;
}

interface Erasure {
  /** Columns that hold nothing of the family afterwards, as `table.column`. */
  of: readonly string[];
  erase: (tx: SchoolHandle, leaving: Leaving) => Promise<unknown>;
}

const loansOf = (tx: SchoolHandle, id: string) =>
  tx
    .select({ id: loan.id })
    .from(loan)
    .where(and(ours(tx, loan), eq(loan.familyId, id)));
const answersOf = (tx: SchoolHandle, id: string) =>
  tx
    .select({ id: answer.id })
    .from(answer)
    .where(and(ours(tx, answer), inArray(answer.loanId, loansOf(tx, id))));

/** So many digits make a number that can be told from others. */
const FEWEST_DIGITS = 7;

/** In this order: what refers to something goes before it. The family's own row is emptied last. */
export const ERASURES: readonly Erasure[] = [
  {
    // No word of theirs, but who sat at a table.
    of: [],
    erase: (tx, { id }) =>
      tx
        .update(tableDevice)
        .set({ familyId: null, familyAt: null })
        .where(and(ours(tx, tableDevice), eq(tableDevice.familyId, id))),
  },
  {
    // Lists of families that were drawn for paper, whether or not this one is on them.
    of: ['print_job.task', 'print_job.pdf'],
    erase: (tx) => tx.delete(printJob).where(and(ours(tx, printJob), printJob.namesFamilies)),
  },
  {
    of: ['work_picture.image'],
    erase: (tx, { id }) => dropPicturesOf(tx, id),
  },
  {
    of: ['answer_game.child', 'answer_game.child_said', 'answer_game.changed'],
    erase: (tx, { id }) =>
      tx
        .update(answerGame)
        .set({ child: '', childSaid: '', changed: '' })
        .where(and(ours(tx, answerGame), inArray(answerGame.answerId, answersOf(tx, id)))),
  },
  {
    // The key was made of what was said: it would tell whoever guesses the words that they were right.
    of: ['answer.child_did', 'answer.missing', 'answer.anything_else', 'answer.send_key'],
    erase: async (tx, { id }) => {
      await tx.delete(answerTheme).where(inArray(answerTheme.answerId, answersOf(tx, id)));
      await tx
        .update(answer)
        .set({ childDid: '', missing: '', anythingElse: '', sendKey: sql`'forgotten ' || ${answer.id}` })
        .where(and(ours(tx, answer), inArray(answer.loanId, loansOf(tx, id))));
    },
  },
  {
    // Also those from its number that nobody has said are from it: the number may be another family's too.
    of: ['text_reply.text', 'text_reply.reach', 'text_reply.why', 'text_reply.carried_as'],
    erase: async (tx, { id, reach }) => {
      const digits = reach.replace(/\D/g, '');
      const from =
        digits.length >= FEWEST_DIGITS
          ? sql`regexp_replace(${textReply.reach}, '\D', '', 'g') = ${digits}`
          : sql`btrim(${reach}) <> '' and lower(btrim(${textReply.reach})) = lower(btrim(${reach}))`;
      await tx
        .delete(textReply)
        .where(
          and(
            ours(tx, textReply),
            sql`(${textReply.familyId} = ${id} or (${textReply.familyId} is null and ${from}))`,
          ),
        );
    },
  },
  {
    // What was said to them has their name in it.
    of: [
      'message.text',
      'message.reach',
      'message.said',
      'message.problem',
      'message.link_key',
      'message.once',
    ],
    erase: async (tx, { id }) => {
      const theirs = tx
        .select({ id: message.id })
        .from(message)
        .where(and(ours(tx, message), eq(message.familyId, id)));
      await tx.delete(carried).where(and(ours(tx, carried), inArray(carried.messageId, theirs)));
      await tx.delete(message).where(and(ours(tx, message), eq(message.familyId, id)));
    },
  },
  {
    of: ['hall_act.act', 'hall_act.heard'],
    erase: (tx, { id, name }) =>
      tx.delete(hallAct).where(
        and(
          ours(tx, hallAct),
          // Those of the time before everybody was noted who is named in them.
          sql`(${id} = any(${hallAct.about}) or position(${name} in ${hallAct.heard}->>'text') > 0)`,
        ),
      ),
  },
  {
    of: ['family_look.what'],
    erase: (tx, { id }) =>
      tx.delete(familyLook).where(and(ours(tx, familyLook), eq(familyLook.familyId, id))),
  },
  {
    // Whom they waited for and where they came is over.
    of: ['hold.closed_as'],
    erase: async (tx, { id }) => {
      await tx.delete(hold).where(and(ours(tx, hold), eq(hold.familyId, id)));
      await tx.delete(attendance).where(and(ours(tx, attendance), eq(attendance.familyId, id)));
    },
  },
  {
    of: ['promise.why'],
    erase: async (tx, { id }) => {
      await tx
        .update(promise)
        .set({ endedAt: new Date() })
        .where(and(ours(tx, promise), eq(promise.familyId, id), isNull(promise.endedAt)));
      await tx
        .update(promise)
        .set({ why: '' })
        .where(and(ours(tx, promise), eq(promise.familyId, id)));
    },
  },
  {
    of: ['round.choices'],
    erase: (tx, { id }) =>
      tx
        .update(round)
        .set({
          choices: sql`${round.choices} || jsonb_build_object(
            'pins', coalesce((select jsonb_agg(p) from jsonb_array_elements(${round.choices}->'pins') p where p->>'family' <> ${id}), '[]'),
            'vetoes', coalesce((select jsonb_agg(v) from jsonb_array_elements(${round.choices}->'vetoes') v where v->>'family' <> ${id}), '[]'))`,
        })
        .where(and(ours(tx, round), sql`${round.choices}::text like ${`%${id}%`}`)),
  },
  {
    of: ['change.before', 'change.after'],
    erase: (tx, { id }) => forgetLog(tx, 'family', id),
  },
  {
    of: [
      'family.name',
      'family.search_name',
      'family.speaks',
      'family.children',
      'family.group',
      'family.reach',
      'family.channel',
      'family.card',
      'family.allergens',
    ],
    erase: (tx, { id }) =>
      tx
        .update(family)
        .set({
          name: 'Forgotten family',
          speaks: '',
          children: '',
          group: '',
          reach: '',
          channel: 'never',
          weekly: false,
          card: null,
          allergens: '',
          underThree: false,
          pictures: false,
          forgottenAt: new Date(),
          version: sql`${family.version} + 1`,
        })
        .where(and(ours(tx, family), eq(family.id, id))),
  },
];

/**
 * Columns that hold nothing of a family: what the school and its people write of games, kits, parts, wording and
 * evenings, words of a fixed list, and what is made by the application. `*` stands for all columns of a table.
 */
export const FREE_OF_FAMILIES: readonly string[] = [
  'school_calendar.*',
  'calendar_entry.*',
  'due_move.moves',
  'change.thing',
  'change.thing_id',
  'change.kind',
  'evening.*',
  'rehearsal.*',
  'own_game.*',
  'gathering.*',
  // A level and a game, of nobody: they count for the game.
  'table_tap.*',
  'lending_rule.*',
  'class_day.group',
  'variant.*',
  'kit.*',
  'build_run.*',
  'copy.*',
  'family.language',
  'loan.closed_as',
  'loan.code',
  'loan_browser.*',
  // A note names the decision and who took it, and no family: `ruleAgainst` gives one for it.
  'loan_event.*',
  'part_count.*',
  'answer.language',
  'answer.via',
  'answer.again',
  'answer_game.said',
  'answer_game.how',
  'answer_game.unclear',
  'theme.name',
  'text_reply.state',
  'copy_step.*',
  'copy_care.*',
  'message.kind',
  'message.language',
  'message.channel',
  'message.state',
  'message.answered',
  'person.*',
  'membership.*',
  'session.*',
  'password_ask.*',
  'password_link.*',
  'known_browser.*',
  'daily_job.*',
  'rate_limit.*',
  'sent_form.*',
  'landed.*',
  'settled_change.*',
  'table_device.*',
  'security_event.*',
  'print_job.query',
  'print_job.title',
  'print_job.state',
  'print_job.problem',
  'round.name',
  'round.state',
  'district.*',
  'school.*',
  'shared.*',
  'taken.*',
  'stock_item.*',
  'school_material.*',
  'stock_move.*',
  'stock_offer.*',
  'reader_link.*',
  'wording_check.*',
  'wording_line.*',
  'line_voice.*',
  'proof.*',
];

/** Forgets the words of a family, and those about it. Its row is locked. */
export async function eraseWords(tx: SchoolHandle, leaving: Leaving): Promise<void> {
  for (const { erase } of ERASURES) await erase(tx, leaving);
}
