/** What a family can answer. */
import { Type, type Static } from '@sinclair/typebox';
import { OneOf, LongText, Whole } from '~/core/check/schema';
import { LEVELS, type Level } from '~/core/pack/questions';

export const answerSchema = Type.Object({
  children: Type.Optional(Whole(0, 12, { title: 'Children' })),
  grownUps: Type.Optional(Whole(0, 12, { title: 'Grown-ups' })),
  times: Type.Optional(Whole(0, 60, { title: 'Times played' })),
  minutes: Type.Optional(Whole(1, 180, { title: 'Minutes' })),
  level: Type.Optional(OneOf<Level>(LEVELS, { title: 'Level' })),
  childDid: LongText(1500, { title: 'What the children did' }),
  missing: LongText(500, { title: 'Missing or broken' }),
  anythingElse: LongText(1500, { title: 'Anything else' }),
});
export type Answer = Static<typeof answerSchema>;

/** Whether nothing at all was answered. */
export const isEmpty = (answer: Answer): boolean =>
  Object.values(answer).every((value) => value === undefined || value === '');
