import { describe, expect, it } from 'vitest';
import { fact } from '~/core/cards/facts';
import { seeded } from '~/core/chance/random';
import { settle } from '~/core/games/kit/game';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { inTurn, numbersIn, plays, strangeMeetings } from '~/core/games/kit/plays.testing';
import { figuresOf, printed, setting } from '~/core/games/kit/testing';
import type { Params, Turn } from '~/core/games/kit/types';
import { gameOf } from '~/core/games/shelf';
import { circles, needed, saidOn } from '~/core/paper/testing';
import { peekAndSay, type PeekParams } from '.';
import { groupsOf } from './arrange';
import { cardsOf } from './reckon';

holdsTheShelfLaws(peekAndSay, { gives: [['cards glance.share'], ['pairs', { groups: 2 }]] });

describe('Peek and Say', () => {
  it('makes every card once, and knows what is seen at a glance', () => {
    // One dot is the same on a die and in a line.
    expect(figuresOf('peek-and-say', { groups: 1, max: 5, patterns: ['dice', 'line'] })).toEqual({
      cards: 9,
      'glance.share': expect.closeTo(7 / 9, 12) as number,
    });
    // 1+1 2+1 2+2 3+1 3+2 4+1
    expect(figuresOf('peek-and-say', { groups: 2, max: 5, patterns: ['dice'] })).toEqual({
      cards: 6,
      pairs: 6,
      'glance.share': 1,
    });
    // A die shows no more than six: 9 + 1, 8 + 2, 8 + 1, 7 + 3, 7 + 2 and 7 + 1 are on no card.
    const ten = { groups: 2, max: 10 };
    expect(figuresOf('peek-and-say', { ...ten, patterns: ['dice'] })).toMatchObject({ cards: 19, pairs: 19 });
    expect(figuresOf('peek-and-say', { ...ten, patterns: ['dice', 'line'] })).toMatchObject({
      cards: 43,
      pairs: 25,
    });
    // The five-frame shows no more than five.
    expect(figuresOf('peek-and-say', { groups: 1, max: 10, patterns: ['five'] }).cards).toBe(5);
  });
  it('never lets two dots touch, and keeps two groups apart', () => {
    const random = seeded(5);
    const all = {
      groups: 1,
      max: 10,
      patterns: ['dice', 'five', 'ten-frame', 'line', 'scatter'],
      seconds: 3,
      written: false,
      players: 2,
    };
    for (const groups of [1, 2])
      for (const card of cardsOf({ ...all, groups } as PeekParams)) {
        const { radius, groups: lie } = groupsOf(card, random);
        expect(lie.map((group) => group.length)).toEqual(card.groups);
        const spots = lie.flat();
        spots.forEach((a, i) => {
          expect(a.x - radius).toBeGreaterThan(1);
          expect(a.x + radius).toBeLessThan(99);
          expect(a.y - radius).toBeGreaterThan(1);
          expect(a.y + radius).toBeLessThan(59);
          spots
            .slice(0, i)
            .forEach((b) => expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThan(2 * radius));
        });
        if (groups === 2) {
          const right = Math.min(...lie[1]!.map((spot) => spot.x));
          expect(right - Math.max(...lie[0]!.map((spot) => spot.x))).toBeGreaterThan(3 * radius);
        }
      }
  });
  it('shows a card on the screen and can say what was on it', () => {
    const game = gameOf('peek-and-say');
    const { shapes, seconds, says } = settle(game, game.presets.at(-1)!.params).peek(seeded(3));
    expect(seconds).toBe(4);
    expect(shapes.filter((shape) => shape.kind === 'circle')).toHaveLength(Number(says.args.answer));
  });
});

describe('the sheets of Peek and Say', () => {
  it('arrangements whose dots never touch, never repeat, and are clearly two groups', () => {
    for (const { params } of gameOf('peek-and-say').presets) {
      const sheets = printed('peek-and-say', params).filter((sheet) => sheet.use === 'part');
      const seen = new Set<string>();
      for (const sheet of sheets.filter((one) => !one.back))
        for (const piece of needed(sheet.pieces!)) {
          const here = circles(sheet.shapes).filter(
            ({ x, y }) => x > piece.x && x < piece.x + piece.w && y > piece.y && y < piece.y + piece.h,
          );
          const total = piece.name
            .split(',')[0]!
            .split(' and ')
            .reduce((sum, n) => sum + Number(n), 0);
          expect(here).toHaveLength(total);
          here.forEach((a, i) =>
            here
              .slice(0, i)
              .forEach((b) => expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThan(a.radius + b.radius)),
          );
          const stroked = here.filter((one) => one.stroke);
          const filled = here.filter((one) => !one.stroke);
          if (stroked.length) {
            const apart = Math.min(...stroked.map(({ x }) => x)) - Math.max(...filled.map(({ x }) => x));
            expect(apart).toBeGreaterThan(2 * here[0]!.radius);
          }
          const form = here
            .map(({ x, y }) => `${(x - piece.x).toFixed(3)} ${(y - piece.y).toFixed(3)}`)
            .join();
          // No card looks like another, whatever it is called.
          expect(seen.has(form)).toBe(false);
          seen.add(form);
        }
      // The number on the back is what a card shows.
      const [front, back] = sheets;
      const totals = front!.pieces!.map(({ name }) =>
        name
          .split(',')[0]!
          .split(' and ')
          .reduce((sum, n) => sum + Number(n), 0),
      );
      expect(saidOn(back!).slice(1).map(Number)).toEqual(totals);
    }
  });
});

const TWO: Params = { groups: 2, max: 6, patterns: ['dice', 'line'], players: 3 };

const met = (turn: Turn) => {
  if (turn.id === 'play.one') return [fact('glance', numbersIn(turn, 'number')[0]!)];
  const [a, b] = numbersIn(turn, 'a', 'b') as [number, number];
  return [fact('glance', a), fact('glance', b), fact('add', a, b)];
};

describe('a play of Peek and Say', () => {
  it('shows every card once, with no more dots than allowed', () => {
    for (const change of [{ max: 5 }, TWO] as Params[]) {
      const { figures } = setting(peekAndSay, change).reckon({
        ageBand: 'K',
        secondsPerTurn: 30,
      });
      for (const { turns } of plays(peekAndSay, change, 10)) {
        expect(turns).toHaveLength(figures.cards as number);
        expect(inTurn(turns, Number(change.players ?? 2))).toBe(true);
        for (const turn of turns) {
          if (turn.id === 'play.one') expect(numbersIn(turn, 'number')[0]!).toBeLessThanOrEqual(5);
          else {
            const [a, b, answer] = numbersIn(turn, 'a', 'b', 'answer') as [number, number, number];
            expect([a + b, answer <= 6]).toEqual([answer, true]);
            // The grown-up names the part that was seen.
            expect(turn.coach).toEqual({ id: 'play.part', args: { a } });
          }
        }
      }
    }
  });

  it('meets what it shows as often as it reckons', () => {
    for (const change of [{ max: 5, patterns: ['dice', 'five', 'line'] }, TWO] as Params[])
      expect(strangeMeetings(peekAndSay, change, ['glance', 'add'], met, 2)).toEqual([]);
  });

  it('shows on screen what is then said, for the seconds that are set', () => {
    const random = seeded(3);
    for (const change of [
      { max: 7, seconds: 3 },
      { ...TWO, seconds: 5 },
    ] as Params[])
      for (let i = 0; i < 60; i++) {
        const { shapes, seconds, says } = setting(peekAndSay, change).peek(random);
        expect(seconds).toBe(change.seconds);
        const dots = shapes.filter(({ kind }) => kind === 'circle').length;
        const said =
          'number' in says.args ? Number(says.args.number) : Number(says.args.a) + Number(says.args.b);
        expect([says.id, dots]).toEqual([says.id, said]);
      }
  });
});
