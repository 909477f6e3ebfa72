/** The forms of variants and kits. */
import { Type } from '@sinclair/typebox';
import { Line, OneOf, Whole } from '~/core/check/schema';
import { AGE_BANDS, type AgeBand } from '~/core/games/kit/types';
import { PAPERS, type Paper } from '~/core/paper/sheet';
import { ASSURANCES, type Assurance } from './assurance';

const ageBand = OneOf<AgeBand>(AGE_BANDS, { title: 'Grade band' });

export const variantSchema = Type.Object({
  name: Line(60, { title: 'Name of the variant' }),
  ageBand,
});

export const kitSchema = Type.Object({
  name: Line(60, { title: 'Name of the kit' }),
  ageBand,
  players: Whole(1, 6, { title: 'Players' }),
  paper: OneOf<Paper>({ letter: PAPERS.letter.name, a4: PAPERS.a4.name }, { title: 'Paper' }),
  assurance: OneOf<Assurance>(ASSURANCES, { title: 'Assurance' }),
});

/** More games are no basket any more. */
export const MOST_GAMES = 12;
export const MOST_COPIES = 60;
export const buildSchema = Type.Object({ copies: Whole(1, MOST_COPIES, { title: 'Copies' }) });
