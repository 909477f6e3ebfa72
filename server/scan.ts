/** What came over the scan line, and what it can mean at the desk. */
import { SHELF } from '~/core/games/shelf';
import { searchable } from '~/core/words/search';
import { dueWords } from '~/core/lending/due';
import { readCard } from '~/core/lending/card';
import { readTag, showTag } from '~/core/kits/tag';
import { readSlipNumber } from '~/core/listening/slip';
import { slipQuestions } from '~/core/pack/questions';
import type { ScanChoice, ScanReading } from '~/core/lending/scan';
import { aboutLanguage } from '~/core/words/languages';
import { nameOf } from '~/core/words/reading';
import { namesOf } from '~/core/words/readings';
import type { SchoolHandle } from '~/data/db';
import { familiesNamed, familyByCard, type Family } from '~/data/queries/families';
import { findCopy } from '~/data/queries/copies';
import { listKits } from '~/data/queries/kits';
import { sisterOfTag } from '~/data/queries/schools';
import { today } from './today';

const MOST_CHOICES = 6;

/** Why no copy of this school was found, in a sentence; a sister school's is told as hers. */
async function whyNoCopy(
  at: SchoolHandle,
  linkKey: string | undefined,
  tag: ReturnType<typeof readTag>,
): Promise<string> {
  if (linkKey || tag.kind !== 'tag') return 'This label belongs to no copy of this school.';
  const sister = await sisterOfTag(at, tag.tag);
  return sister ? `${showTag(tag.tag)} belongs to ${sister}.` : `No copy has the tag ${showTag(tag.tag)}.`;
}

/** A slip asks at least so much; fewer digits after a tag are something else. */
const FEWEST_DIGITS = slipQuestions(1).length;

/** What the desk holds already. */
export interface Held {
  copy: string | null;
  family: string | null;
}

/** Reads what was scanned or typed; `mayChoose` opens games, and types slips in. */
export async function readScan(
  at: SchoolHandle,
  q: string,
  held: Held,
  mayChoose: boolean,
): Promise<ScanReading> {
  if (!q) return { q, choices: [] };
  // A phone's view of the label: the address of the family page.
  const linkKey = /\/p\/([\w-]{10,})/.exec(q)?.[1];
  const slip = mayChoose ? readSlipNumber(q) : undefined;
  if (slip?.ok && slip.digits.length >= FEWEST_DIGITS)
    return {
      q,
      choices: [
        {
          says: `type in the paper slip of ${showTag(slip.tag)}`,
          go: `/listen/slips?slip=${encodeURIComponent(q)}`,
        },
      ],
    };
  const card = readCard(q);
  const carded = card ? await familyByCard(at, card) : undefined;
  if (carded) return { q, choices: [familyChoice(carded, held)] };
  const tag = readTag(q);
  if (tag.kind === 'misread') {
    const families = await familyChoices(at, q, held);
    return { q, choices: families, problem: families.length ? undefined : tag.reason };
  }
  if (linkKey || tag.kind === 'tag') {
    const copy = await findCopy(at, linkKey ? { linkKey } : { tag: (tag as { tag: string }).tag });
    if (!copy) return { q, choices: [], problem: await whyNoCopy(at, linkKey, tag) };
    if (copy.loan)
      return {
        q,
        choices: [
          {
            says: `take back ${showTag(copy.tag)}, ${copy.kitName}, from ${copy.loan.familyName} (${dueWords(copy.loan.dueOn, today(at))})`,
            go: `/take-back/${copy.loan.id}`,
          },
        ],
      };
    if (copy.readyAt === null)
      return {
        q,
        choices: [
          {
            says: `go on with ${showTag(copy.tag)}, ${copy.kitName}, which is still being made`,
            go: `/fill/runs/${copy.makingId}`,
          },
        ],
      };
    const family = held.family ? `&family=${held.family}` : '';
    return {
      q,
      choices: [
        {
          says: `lend ${showTag(copy.tag)}, ${copy.kitName}${family ? ' to this family' : '; then scan or type a family'}`,
          go: `/lend?copy=${copy.tag}${family}`,
        },
      ],
    };
  }
  const choices = await familyChoices(at, q, held);
  if (!held.copy) {
    const hit = (name: string): boolean => searchable(name).includes(searchable(q));
    if (mayChoose)
      choices.push(
        ...SHELF.filter((game) => namesOf(game).some(hit)).map((game) => ({
          says: `open the game ${nameOf(game)}`,
          go: `/choose/${game.id}`,
        })),
      );
    choices.push(
      ...(await listKits(at))
        .filter((kit) => hit(kit.name))
        .map((kit) => ({ says: `open the kit ${kit.name}`, go: `/fill/${kit.id}` })),
    );
  }
  if (choices.length === 0)
    return {
      q,
      choices,
      problem: held.copy
        ? `No family is called “${q}”.`
        : `Nothing here is called “${q}”: no tag, family, game or kit.`,
    };
  return { q, choices: choices.slice(0, MOST_CHOICES) };
}

const familyChoice = (family: Family, held: Held): ScanChoice => {
  const copy = held.copy ? `&copy=${encodeURIComponent(held.copy)}` : '';
  return {
    says: `${copy ? 'lend to' : 'choose'} ${family.name} (${aboutLanguage(family.language).name})`,
    go: `/lend?family=${family.id}${copy}`,
  };
};
const familyChoices = async (at: SchoolHandle, q: string, held: Held): Promise<ScanChoice[]> =>
  (await familiesNamed(at, q, MOST_CHOICES)).map((family) => familyChoice(family, held));
