/** What a family can answer: of the bag as a whole, and of each of its games. */
import { Array as List, Object as Fields, String as Words, Optional, type Static } from '@sinclair/typebox';
import { checkForm, type FieldErrors } from '~/core/check/check';
import { LongText, OneOf, Whole } from '~/core/check/schema';
import { LEVELS, type Level } from '~/core/pack/questions';

/** How a child worked it out. */
export const HOW = {
  pieces: 'with pieces',
  drawing: 'by drawing',
  countingOn: 'by counting on',
  knew: 'knew it',
} as const;
export type How = keyof typeof HOW;

/** What they would like next. */
export const AGAIN = {
  again: 'this one again',
  easier: 'something easier',
  harder: 'something harder',
  other: 'something else',
} as const;
export type Again = keyof typeof AGAIN;

/** How an answer came. */
export const VIA = {
  page: 'on the family page',
  slip: 'on paper',
  text: 'by text',
  phone: 'by phone',
  message: 'on a reminder',
} as const;
export type Via = keyof typeof VIA;

export const answerSchema = Fields({
  children: Optional(Whole(0, 12, { title: 'Children' })),
  grownUps: Optional(Whole(0, 12, { title: 'Grown-ups' })),
  times: Optional(Whole(0, 60, { title: 'Times played' })),
  minutes: Optional(Whole(1, 180, { title: 'Minutes' })),
  again: Optional(OneOf<Again>(AGAIN, { title: 'What next' })),
  childDid: LongText(1500, { title: 'What the children did' }),
  missing: LongText(500, { title: 'Missing or broken' }),
  anythingElse: LongText(1500, { title: 'Anything else' }),
});
export type Answer = Static<typeof answerSchema>;

/** A nickname is one word: nothing more is kept of a child. */
const NICKNAME = { maxLength: 16, pattern: '^\\S*$', default: '' } as const;
export const gameAnswerSchema = Fields({
  said: Optional(OneOf<Level>(LEVELS, { title: 'How it was' })),
  times: Optional(Whole(0, 60, { title: 'Times played' })),
  minutes: Optional(Whole(1, 180, { title: 'Minutes' })),
  child: Words({ ...NICKNAME, title: 'Who played', description: 'a nickname of one word is enough.' }),
  how: List(OneOf<How>(HOW, { title: 'How the child worked it out' }), { uniqueItems: true, default: [] }),
  childSaid: LongText(600, { title: 'What the child said' }),
  changed: LongText(600, { title: 'What was changed' }),
  /** The step that was unclear, by its message. */
  unclear: Words({ maxLength: 80, default: '', title: 'An unclear step' }),
});
/** What is said of one game: by its place in the bag, from 0. */
export type GameAnswer = Static<typeof gameAnswerSchema> & { position: number };

/** An answer as it is kept, however it came. */
export interface WholeAnswer {
  answer: Answer;
  games: GameAnswer[];
}

const said = (value: unknown): boolean =>
  value !== undefined && value !== '' && !(Array.isArray(value) && value.length === 0);
const isSilent = ({ position: _, ...of }: GameAnswer): boolean => !Object.values(of).some(said);

/** Whether nothing at all was answered. */
export const isEmpty = ({ answer, games }: WholeAnswer): boolean =>
  !Object.values(answer).some(said) && games.every(isSilent);

/** A game about which nothing was said, as a start. */
export const silent = (position: number): GameAnswer => ({
  position,
  child: '',
  how: [],
  childSaid: '',
  changed: '',
  unclear: '',
});

/** The name of a field of a game in a form: "g0.said". */
export const gameField = (position: number, field: string): string => `g${position}.${field}`;

/**
 * Reads the form of an answer about a bag with so many games. What is wrong is said by field; games about which
 * nothing is said are left out.
 */
export function readAnswer(
  form: FormData,
  games: number,
): { ok: true; value: WholeAnswer } | { ok: false; errors: FieldErrors } {
  const errors: FieldErrors = {};
  const whole = checkForm(answerSchema, form);
  if (!whole.ok) Object.assign(errors, whole.errors);
  const each: GameAnswer[] = [];
  for (let position = 0; position < games; position++) {
    const fields = Object.fromEntries(
      Object.keys(gameAnswerSchema.properties).map((field) => {
        const name = gameField(position, field);
        return [field, field === 'how' ? form.getAll(name) : (form.get(name) ?? undefined)];
      }),
    );
    const checked = checkForm(gameAnswerSchema, fields);
    if (checked.ok) each.push({ ...checked.value, position });
    else
      for (const [field, sentence] of Object.entries(checked.errors))
        errors[gameField(position, field.split('.')[0]!)] ??= sentence;
  }
  if (Object.keys(errors).length || !whole.ok) return { ok: false, errors };
  return { ok: true, value: { answer: whole.value, games: each.filter((one) => !isSilent(one)) } };
}
