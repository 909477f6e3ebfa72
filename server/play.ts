/** What a family page shows, found by the link of its label. */
import { mayAnswer } from '~/core/lending/due';
import { wordedOr, WORDED, type Worded } from '~/core/words/message';
import { findCopy, type CopyRow } from '~/data/queries/kits';
import { lastLoanOf } from '~/data/queries/lending';
import { mayVisit, wrongLink } from './limits';
import { today } from './today';

export type FamilyPage =
  | { refused: 'busy' | 'unknown'; language: Worded; status: number }
  | { refused?: undefined; language: Worded; copy: CopyRow; loanId: string | undefined };

/**
 * Reads a family page. The language is the one asked for, else the home language of the family that has the copy;
 * nothing else about the family leaves this function. `loanId` is there while an answer is accepted.
 */
export async function familyPage(request: Request, linkKey: string, address: string): Promise<FamilyPage> {
  const asked = WORDED.find((language) => language === new URL(request.url).searchParams.get('lang'));
  const preferred = asked ?? wordedOr(request.headers.get('Accept-Language')?.slice(0, 2).toLowerCase());
  if (!(await mayVisit(address))) return { refused: 'busy', language: preferred, status: 429 };
  const copy = /^[\w-]{22}$/.test(linkKey) ? await findCopy({ linkKey }) : undefined;
  if (!copy) {
    await wrongLink(address);
    return { refused: 'unknown', language: preferred, status: 404 };
  }
  const loan = await lastLoanOf(copy.id);
  const open = loan && mayAnswer(loan.returnedOn, today()) ? loan : undefined;
  return { language: asked ?? (open ? wordedOr(open.language) : preferred), copy, loanId: open?.id };
}
