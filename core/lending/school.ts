/** The school: the place that lends. */
import { Type } from '@sinclair/typebox';
import { Line, OneOf } from '~/core/check/schema';
import { PAPERS, type Paper } from '~/core/paper/sheet';
import { newPassword } from '~/core/people/forms';

const PAPER_LABELS: Record<Paper, string> = { letter: PAPERS.letter.name, a4: PAPERS.a4.name };

export const setUpSchema = Type.Object({
  schoolName: Line(120, { title: 'Name of the school' }),
  paper: OneOf<Paper>(PAPER_LABELS, { title: 'Paper' }),
  personName: Line(80, { title: 'Your name' }),
  password: newPassword,
});
