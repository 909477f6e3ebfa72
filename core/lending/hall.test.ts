import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seeded } from '~/core/chance/random';
import { randomTag, readTag } from '~/core/kits/tag';
import { randomCard, readCard, showCard } from './card';
import { after, against, notToLend, readHall, type HallAct, type HallKnown } from './hall';

const random = seeded(7);
const tags = Array.from({ length: 4 }, () => randomTag(random));
const cards = Array.from({ length: 3 }, () => randomCard(random));
const known: HallKnown = {
  today: '2026-11-27',
  rules: { bagsAtOnce: 1, backFirst: false },
  bags: tags.map((tag, i) => ({
    tag,
    linkKey: `key-${i}-of-this-label`,
    kitId: `kit${i % 2}`,
    kitName: 'First splits',
    with: i === 3 ? cards[2]! : null,
    arrived: false,
    meantFor: i === 2 ? cards[1]! : null,
  })),
  families: cards.map((card, i) => ({
    card,
    name: ['Familia Vela', 'Family Dunlin', 'Family Dunlin Bay'][i]!,
    out: i === 2 ? ['2026-11-20'] : [],
    notSafe: i === 0 ? ['kit1'] : [],
  })),
};
const act = (fields: Partial<HallAct> & Pick<HallAct, 'kind'>): HallAct => ({
  id: crypto.randomUUID(),
  day: known.today,
  away: true,
  ...fields,
});

describe('the code of a card', () => {
  it('is read in any case, with dashes or without, and is never taken for a tag', () => {
    fc.assert(
      fc.property(fc.integer(), (seed) => {
        const card = randomCard(seeded(seed));
        expect(readCard(showCard(card).toLowerCase())).toBe(card);
        expect(readTag(card).kind).toBe('other');
        expect(readCard(randomTag(seeded(seed)))).toBeUndefined();
      }),
    );
  });
  it('notices every single wrong character and every swap of two', () => {
    const card = cards[0]!;
    for (let i = 0; i < card.length; i++) {
      for (const other of '34679CFHJKMPRTWXY')
        if (other !== card[i]) expect(readCard(card.slice(0, i) + other + card.slice(i + 1))).toBeUndefined();
      for (let j = i + 1; j < card.length; j++) {
        const signs = [...card];
        [signs[i], signs[j]] = [signs[j]!, signs[i]!];
        if (signs.join('') !== card) expect(readCard(signs.join(''))).toBeUndefined();
      }
    }
  });
});

describe('a scan in the hall', () => {
  it('is a bag by its tag or the square of its label, and a family by its card or its name', () => {
    expect(readHall(tags[0]!.toLowerCase(), known)).toMatchObject({ kind: 'bag', bag: { tag: tags[0] } });
    expect(readHall('https://x.invalid/p/key-1-of-this-label?lang=es', known)).toMatchObject({
      kind: 'bag',
      bag: { tag: tags[1] },
    });
    expect(readHall(cards[1]!, known)).toMatchObject({ kind: 'card', family: { name: 'Family Dunlin' } });
    expect(readHall('vela', known)).toMatchObject({ kind: 'card', family: { name: 'Familia Vela' } });
    expect(readHall('family dunlin', known)).toMatchObject({
      kind: 'card',
      family: { name: 'Family Dunlin' },
    });
    expect(readHall('family', known)).toMatchObject({ kind: 'unread' });
    expect(readHall('', known)).toMatchObject({ kind: 'unread' });
  });
  it('is refused for who it is not safe, for whom it is not meant, and above the limit', () => {
    const [plain, other, meant] = known.bags as [
      HallKnown['bags'][0],
      HallKnown['bags'][0],
      HallKnown['bags'][0],
    ];
    const [vela, dunlin, bay] = known.families as [
      HallKnown['families'][0],
      HallKnown['families'][0],
      HallKnown['families'][0],
    ];
    expect(against(plain, vela, known)).toBeUndefined();
    expect(against(other, vela, known)?.word).toBe('Not this one');
    expect(against(meant, vela, known)?.word).toBe('Wrong bag');
    expect(against(meant, dunlin, known)).toBeUndefined();
    expect(against(plain, bay, known)?.word).toBe('Has enough');
    expect(notToLend({ ...plain, arrived: true })?.word).toBe('Count first');
  });
});

describe('what a desk knows after what was done at it', () => {
  it('is the same again once it was undone', () => {
    const lent = act({ kind: 'lend', tag: tags[0]!, card: cards[0]! });
    const now = after(known, lent);
    expect(against(now.bags[0]!, now.families[1]!, now)?.word).toBe('Is out');
    expect(against(now.bags[2]!, { ...now.families[0]!, card: cards[1]! }, now)?.word).toBe('Has enough');
    expect(after(now, act({ kind: 'undo', of: lent.id }), lent)).toEqual(known);
  });
  it('lends no bag twice and no family more than it may, whatever is scanned', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat({ max: 3 }), fc.nat({ max: 2 })), { maxLength: 30 }), (scans) => {
        let now = known;
        for (const [b, f] of scans) {
          const [bag, family] = [now.bags[b]!, now.families[f]!];
          if (bag.with !== null && !bag.arrived) now = after(now, act({ kind: 'home', tag: bag.tag }));
          else if (!notToLend(bag) && !against(bag, family, now))
            now = after(now, act({ kind: 'lend', tag: bag.tag, card: family.card }));
          for (const one of now.families) expect(one.out.length).toBeLessThanOrEqual(1);
          const out = now.bags.filter((one) => one.with !== null && !one.arrived);
          expect(now.families.reduce((sum, one) => sum + one.out.length, 0)).toBe(out.length);
        }
      }),
    );
  });
});
