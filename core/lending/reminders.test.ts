import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED_LANGUAGES } from '~/core/words/languages';
import { readingOf } from '~/core/words/readings';
import { daysAfter } from './due';
import { asksOf } from './papers';
import {
  BAG_ANSWERS,
  dayFor,
  INVITATION_ANSWERS,
  invitationText,
  mayWrite,
  offerText,
  reminderText,
  saidOf,
  stageOf,
  thanksText,
  timeFor,
} from './reminders';

const TODAY = '2026-11-27';
const RULES = { daysBefore: 2, daysAfter: 7 };

describe('what there is to say of a loan', () => {
  it('is said before its day, on it, and every so many days after it', () => {
    const stages = Array.from({ length: 26 }, (_, i) => stageOf(daysAfter(TODAY, 4 - i), TODAY, RULES));
    expect(stages.slice(0, 6)).toEqual([undefined, undefined, 'before', 'before', 'on', undefined]);
    expect(stages[11]).toBe('after 1');
    expect(stages[18]).toBe('after 2');
    expect(stages[25]).toBe('after 3');
  });
  it('is said once for each stage, also when an evening was missed', () => {
    fc.assert(
      fc.property(fc.array(fc.boolean(), { minLength: 40, maxLength: 40 }), (evenings) => {
        const bag = { loanId: 'l', kitName: 'k', dueOn: daysAfter(TODAY, 10) };
        const said: string[] = [];
        evenings.forEach((held, i) => {
          const stage = stageOf(bag.dueOn, daysAfter(TODAY, i), RULES);
          if (held && stage && !said.includes(saidOf(bag, stage))) said.push(saidOf(bag, stage));
        });
        expect(new Set(said).size).toBe(said.length);
        // Two days before, the day itself, and four weeks and a day after it.
        expect(said.length).toBeLessThanOrEqual(6);
      }),
    );
  });
  it('is new when the due day was moved', () => {
    const bag = { loanId: 'l', kitName: 'k', dueOn: TODAY };
    expect(saidOf(bag, 'on')).not.toBe(saidOf({ ...bag, dueOn: daysAfter(TODAY, 1) }, 'on'));
  });
});

describe('how often a family is written to', () => {
  it('is once a day at the most, and once a week for who would rather', () => {
    expect(mayWrite([TODAY], TODAY, false)).toBe(false);
    expect(mayWrite([daysAfter(TODAY, -1)], TODAY, false)).toBe(true);
    expect(mayWrite([daysAfter(TODAY, -6)], TODAY, true)).toBe(false);
    expect(mayWrite([daysAfter(TODAY, -7)], TODAY, true)).toBe(true);
  });
});

describe('a reminder', () => {
  const input = {
    family: 'Familia Vela',
    school: 'Tern Rock School',
    bags: [
      { loanId: '1', kitName: 'First splits', dueOn: '2026-12-03', stage: 'before' as const },
      { loanId: '2', kitName: 'Market day', dueOn: TODAY, stage: 'on' as const },
      { loanId: '3', kitName: 'Small hands', dueOn: '2026-11-12', stage: 'after 2' as const },
    ],
    next: '2026-11-30',
    address: 'https://baskets.invalid/a/key',
    marked: false,
  };
  it('is one for all bags, and names the day of each', () => {
    const { text, lines } = reminderText(readingOf('en'), input);
    expect(text.split('\n')).toEqual([
      'Hello Familia Vela, this is Tern Rock School.',
      'First splits: please bring it back on Thursday, December 3.',
      'Market day: it was for today. Monday, November 30 is fine too.',
      'Small hands: we looked for it on Thursday, November 12. Bring it whenever it suits you.',
      'If a part is lost or broken, that is all right: tell us, and we put a new one in.',
      'Answer here with one press: https://baskets.invalid/a/key',
    ]);
    expect(lines).toEqual(['hello', 'due.before', 'due.on', 'due.after', 'partsAreFine', 'answerAt']);
  });
  it.each(['es', 'pt', 'ar'])('is worded in %s, with days and numbers of its language', (language) => {
    const { text } = reminderText(readingOf(language), { ...input, marked: true });
    expect(text.split('\n')).toHaveLength(7);
    expect(text).toContain(dayFor(language, '2026-12-03'));
    expect(text).toContain('https://baskets.invalid/a/key');
    expect(text).not.toMatch(/Hello|please|Answer/);
  });
  it('has no word of blame or money in any language', () => {
    for (const language of ['en', 'es', 'pt', 'ar'])
      expect(reminderText(readingOf(language), input).text).not.toMatch(
        /overdue|late|fine of|fee|must|multa|deben|tarde|atraso|devem|غرامة|يجب/i,
      );
  });
  it('tells of a bag that is set aside', () => {
    expect(
      offerText(readingOf('en'), {
        family: 'A',
        school: 'B',
        kit: 'Market day',
        until: '2026-12-03',
        marked: false,
      }).text,
    ).toContain(
      'Market day, the bag that you asked for, is here. It waits for you until Thursday, December 3.',
    );
  });
});

describe('what is said of an evening', () => {
  const evening = { name: 'Game night', onDay: '2026-12-03', startsAt: '17:30' };
  const greeted = { family: 'Family Auk', school: 'Kittiwake Bay', marked: false, address: 'https://x/a/k' };

  it('asks in every language that ships, with its name, day and time, and where to answer', () => {
    for (const language of SHIPPED_LANGUAGES) {
      const reading = readingOf(language);
      const { text, lines } = invitationText(reading, evening, greeted);
      for (const one of [
        'Family Auk',
        'Kittiwake Bay',
        'Game night',
        dayFor(language, '2026-12-03'),
        'https://x/a/k',
      ])
        expect([language, text]).toEqual([language, expect.stringContaining(one) as string]);
      expect(text).toContain(timeFor(language, '17:30'));
      expect(text).not.toMatch(/[{}]|undefined|Invalid/);
      expect(lines).toEqual(['hello', 'invite', 'invite.home', 'invite.answer']);
    }
  });

  it('thanks without asking for anything', () => {
    for (const language of SHIPPED_LANGUAGES) {
      const { text, lines } = thanksText(readingOf(language), evening, greeted);
      expect(text).toContain('Game night');
      expect(text).not.toMatch(/[{}]|https/);
      expect(lines).toEqual(['hello', 'thanks', 'thanks.next']);
    }
  });

  it('says that its wording is not checked, where it is not', () => {
    const plain = invitationText(readingOf('es'), evening, greeted).text;
    const marked = invitationText(readingOf('es'), evening, { ...greeted, marked: true }).text;
    expect(marked.startsWith(plain)).toBe(true);
    expect(marked.length).toBeGreaterThan(plain.length);
  });

  it('has a time as it is read in each language', () => {
    expect(timeFor('en', '17:30')).toBe('5:30 PM');
    expect(timeFor('en', '9:05')).toBe('9:05 AM');
    expect(timeFor('pt', '17:30')).toBe('17:30');
    expect(timeFor('es', '17:30')).toMatch(/^5:30\sp/);
  });

  it('has on paper what can be ticked for an answer, and nothing where it asks for none', () => {
    expect(asksOf('reminder')).toHaveLength(BAG_ANSWERS.length);
    expect(asksOf('invitation')).toHaveLength(INVITATION_ANSWERS.length);
    for (const kind of ['offer', 'line', 'thanks'] as const) expect(asksOf(kind)).toEqual([]);
  });
});
