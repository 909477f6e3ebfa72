/** A game of building blocks as a game like any other. */
import { entries, fromEntries, mean, quantile, type Pmf } from '~/core/chance/pmf';
import type { Random } from '~/core/chance/random';
import type { FieldErrors } from '~/core/check/check';
import { Numbers, Whole } from '~/core/check/schema';
import {
  bench,
  box,
  card as cardShape,
  die,
  dot,
  figure,
  game,
  know,
  need,
  needFrom,
  sign,
  stroke,
  TONE,
  turn as turnOf,
  type Params,
  type PartNeed,
  type Turn,
} from '~/core/games/kit';
import type { Game, GameWords, Knobs } from '~/core/games/kit/game';
import { materialOf, type MaterialId } from '~/core/materials/catalogue';
import { literal, type Args } from '~/core/words/message';
import type { Source } from '~/core/words/reading';
import { tooMuch } from './cost';
import type { Shape } from '~/core/paper/sheet';
import { MAKES, RULES, type OwnGame } from './definition';
import { draws, ownSheets } from './sheets';
import {
  factsOf,
  mostPieces,
  outcomes,
  resultOf,
  results,
  turnsOf,
  wholePlays,
  type Setting,
  type WholePlay,
} from './reckon';

/** Lines of a rehearsed play, and the caution that stands when the coordinator wrote none. */
const PLAY_WORDS = {
  en: {
    'play.turn': 'Player {player}: {values}. The answer is {answer}.',
    'play.covers': 'Player {player}: {values}. {answer} is covered.',
    'play.wasted': 'Player {player}: {values}. There is no free {answer}.',
    'play.total': 'Player {player}: {values}. {answer} more make {total}.',
    'play.ask': '“How did you find it?”',
    'caution.rest': 'Stop while it is still fun. A tired child learns little; play again tomorrow.',
  },
  es: {
    'play.turn': 'Participante {player}: {values}. El resultado es {answer}.',
    'play.covers': 'Participante {player}: {values}. Se tapa el {answer}.',
    'play.wasted': 'Participante {player}: {values}. No hay {answer} libre.',
    'play.total': 'Participante {player}: {values}. Con {answer} más son {total}.',
    'play.ask': '«¿Cómo lo encontraste?»',
    'caution.rest':
      'Terminen mientras todavía sea divertido. Con cansancio se aprende poco; mañana juegan otra vez.',
  },
} as const;

const MOST_TURNS = 3000;

/** The game that a definition makes. The definition must have passed `checkOwnGame`. */
export function ownGame(own: OwnGame, id: string): Game {
  const { turn, end, make } = own;
  const most = turn.kind === 'toss' ? 20 : turn.kind === 'show' ? 1 : 3;
  const least =
    turn.kind === 'toss' || make === 'difference' || make === 'compare' || make === 'product' ? 2 : 1;
  const knobs: Knobs = {
    players: Whole(own.players.fewest, own.players.most, {
      title: 'Players',
      default: Math.min(own.players.most, Math.max(own.players.fewest, 2)),
    }),
    count: Whole(least, make === 'difference' && turn.kind !== 'toss' ? 2 : most, {
      title: { roll: 'Dice', draw: 'Cards drawn', spin: 'Spins', toss: 'Counters', show: 'Cards shown' }[
        turn.kind
      ],
      default: turn.count,
    }),
    ...(end.when === 'covered'
      ? {}
      : {
          number: Whole(1, 200, {
            title: end.when === 'turns' ? 'Turns each' : 'Number to reach',
            default: end.number,
          }),
        }),
    ...(make === 'cover'
      ? { cells: Numbers(0, 60, { minItems: 1, maxItems: 24 }, { title: 'Cells', default: own.cells }) }
      : {}),
  };
  const setting = (params: Params): Setting => ({
    players: params.players as number,
    count: params.count as number,
    number: (params.number as number | undefined) ?? end.number,
    cells: (params.cells as number[] | undefined) ?? own.cells,
  });
  const args = (params: Params): Args => {
    const { players, count, number, cells } = setting(params);
    return {
      players,
      count,
      from: turn.from,
      to: turn.to,
      copies: turn.copies,
      turns: number,
      goal: number,
      cells: cells.length,
    };
  };
  const messages = (language: 'en' | 'es'): GameWords => ({
    ...PLAY_WORDS[language],
    name: literal(own.name[language]),
    goal: own.goal[language],
    ...Object.fromEntries(
      own.steps.map((step, i): [string, string] => [`${step.part}.${i + 1}`, step[language]]),
    ),
  });
  const words: Source<GameWords> = { id, en: messages('en'), own: { es: messages('es') } };
  return game<Knobs, GameWords>({
    words,
    family: 'own',
    traits: { places: [own.place, ...(own.place === 'outdoors' ? [] : (['rainyDay'] as const))] },
    knobs,
    presets: [{ id: 'as-made', name: 'as it was made', ageBand: own.ageBand }],
    drawing: drawingOf(own),
    faults: (params: Params): FieldErrors => {
      const { count, cells } = setting(params);
      if (turn.kind === 'draw' && count > (turn.to - turn.from + 1) * turn.copies)
        return { count: 'There are fewer cards than are drawn in a turn.' };
      const heavy = tooMuch(own, setting(params));
      if (heavy['end.number'] ?? heavy.cells)
        return { [heavy.cells ? 'cells' : 'number']: (heavy.cells ?? heavy['end.number'])! };
      const possible = results(own, count);
      const never = make === 'cover' ? [...new Set(cells.filter((cell) => !possible.has(cell)))] : [];
      return never.length ? { cells: `No turn gives ${never.join(', ')}.` } : {};
    },
    reckon: (params: Params) => {
      const set = setting(params);
      const turns = turnsOf(own, set);
      const turnsMean = mean(turns);
      const result = fromEntries(results(own, set.count));
      return {
        figures: [
          figure(
            'turns.mean',
            'Turns of one play',
            turnsMean,
            'turns',
            'All players together; the exact average.',
          ),
          figure(
            'turns.p90',
            '90 in 100 plays end by',
            quantile(turns, 0.9),
            'turns',
            'All players together.',
          ),
          figure('answer.min', 'Smallest answer', entries(result)[0]![0], '', `${MAKES[make]}, in one turn.`),
          figure(
            'answer.max',
            'Largest answer',
            entries(result).at(-1)![0],
            '',
            `${MAKES[make]}, in one turn.`,
          ),
          figure('answer.mean', 'Answer on average', mean(result), '', 'The exact average of one turn.'),
        ],
        parts: partsOf(own, set, turns),
        turns,
        practice: factsOf(own, set.count).map(({ fact, chance }) => ({
          fact,
          meetings: chance * turnsMean,
        })),
        space: {
          place: own.place,
          widthMm: own.place === 'table' ? 900 : 2500,
          depthMm: own.place === 'table' ? 700 : 2500,
        },
        players: { ...own.players, alone: own.players.fewest === 1 },
        notices: [
          turnsMean > 80 &&
            know(
              'long-play',
              'This takes more turns than most children like. Make the number smaller, or the dice more.',
            ),
        ],
        ladder: ladderOf(params, end.when === 'covered' ? undefined : end.when),
      };
    },
    suffices: (params: Params, have) => sufficesFor(own, setting(params), have),
    play: (params: Params, random) => playOf(own, setting(params), random),
    steps: (params: Params) => [
      ...own.steps.map(
        (step, i) =>
          [`${step.part}.${i + 1}`, args(params), step.show === 'none' ? undefined : step.show] as const,
      ),
      !own.steps.some((step) => step.part === 'caution') && (['caution.rest'] as const),
    ],
    about: args,
    subject: () => own.name.en,
    sheets: (params: Params, context) => {
      const set = setting(params);
      const parts = partsOf(own, set, turnsOf(own, set)).map((part) => ({
        material: part.material,
        quantity: part.enough,
      }));
      return ownSheets(own, words, parts, set.cells, context);
    },
    byHand: own.parts
      .map(({ material }) => material)
      .filter((material) => materialOf(material).kind === 'printed' && !draws(own, material)),
  });
}

function ladderOf(params: Params, name: 'turns' | 'reached' | undefined) {
  if (!name) return {};
  const now = params.number as number;
  const step = now > 30 ? 10 : now > 10 ? 5 : 1;
  const rung = (number: number) => ({
    params: { ...params, number },
    label: name === 'turns' ? `${number} turns each` : `Reach ${number}`,
  });
  return {
    easier: now - step >= 1 ? rung(now - step) : undefined,
    harder: now + step <= 200 ? rung(now + step) : undefined,
  };
}

/** How many of a material a play takes: so many, and so many more for each turn and for each piece that it asks for. */
interface Rule {
  always: number;
  turn: number;
  piece: number;
  reasons: string[];
}
const quantity = ({ always, turn, piece }: Rule, play: Pick<WholePlay, 'turns' | 'pieces'>): number =>
  always + turn * play.turns + piece * play.pieces;

/** The rules of the parts; those of a part that is named twice are added up. */
function rulesOf(own: OwnGame, { players }: Setting): Map<MaterialId, Rule> {
  const rules = new Map<MaterialId, Rule>();
  for (const { material, times, each } of own.parts) {
    const rule = rules.get(material) ?? { always: 0, turn: 0, piece: 0, reasons: [] };
    rules.set(material, rule);
    if (each === 'game') rule.always += times;
    else if (each === 'player') rule.always += times * players;
    else if (each === 'turn') rule.turn += times;
    else rule.piece += times;
    const many = each === 'result' ? (times > 1 ? `, ${times} each` : '') : undefined;
    rule.reasons.push(
      many === undefined
        ? `${times} ${RULES[each]}.`
        : own.make === 'collect'
          ? `As many as the results of a play ask for${many}.`
          : `As many as the largest result of a play asks for${many}; they are taken up again.`,
    );
  }
  return rules;
}

/** Whole plays as far as these rules tell them apart; reckoned for the results only where a part follows them. */
function playsFor(own: OwnGame, set: Setting, rules: Iterable<Rule>, turns: () => Pmf): WholePlay[] {
  const list = [...rules];
  if (list.some(({ piece }) => piece > 0))
    return wholePlays(
      own,
      set,
      list.some(({ turn }) => turn > 0),
    );
  if (list.every(({ turn }) => turn === 0)) return [{ turns: 0, pieces: 0, chance: 1 }];
  return entries(turns()).map(([n, chance]) => ({ turns: n, pieces: 0, chance }));
}

/** The parts by their quantity rules. */
function partsOf(own: OwnGame, set: Setting, turns: Pmf): PartNeed[] {
  const rules = rulesOf(own, set);
  const plays = playsFor(own, set, rules.values(), () => turns);
  const most = { turns: entries(turns).at(-1)![0], pieces: mostPieces(own, set) };
  return [...rules]
    .map(([material, rule]): PartNeed => {
      const reason = rule.reasons.join(' ');
      if (rule.turn === 0 && rule.piece === 0) return need(material, rule.always, reason);
      const pmf = fromEntries(plays.map((play) => [quantity(rule, play), play.chance] as const));
      return needFrom(material, pmf, reason, quantity(rule, most));
    })
    .filter((part) => part.worst > 0);
}

/** The chance that a play takes no more of every part than there is. */
function sufficesFor(own: OwnGame, set: Setting, have: (material: MaterialId) => number): number {
  const rules = [...rulesOf(own, set)].map(([material, rule]) => ({ rule, there: have(material) + 1e-9 }));
  const plays = playsFor(
    own,
    set,
    rules.map(({ rule }) => rule),
    () => turnsOf(own, set),
  );
  return Math.min(
    1,
    plays.reduce(
      (total, play) =>
        rules.every(({ rule, there }) => quantity(rule, play) <= there) ? total + play.chance : total,
      0,
    ),
  );
}

function* playOf(
  own: OwnGame,
  { players, count, number, cells }: Setting,
  random: Random,
): Generator<Turn, void> {
  const list = outcomes(own, count);
  const open = new Map<number, number>();
  for (const cell of cells) open.set(cell, (open.get(cell) ?? 0) + 1);
  const totals = new Array<number>(players).fill(0);
  const draw = (): number[] => {
    // One outcome with its chance, to a thousandth of a thousandth.
    let left = random.whole(0, 999_999) / 1_000_000;
    for (const { values, chance } of list) if ((left -= chance) < 0) return values;
    return list.at(-1)!.values;
  };
  for (let n = 0; n < MOST_TURNS; n++) {
    const player = n % players;
    const values = draw();
    const answer = resultOf(values, own.make);
    const said = { values: values.join(' · '), answer };
    if (own.make === 'cover') {
      const free = open.get(answer) ?? 0;
      if (free > 0) open.set(answer, free - 1);
      yield turnOf(player + 1, free > 0 ? 'play.covers' : 'play.wasted', said, 'play.ask');
    } else if (own.make === 'path' || own.make === 'collect') {
      totals[player]! += answer;
      yield turnOf(player + 1, 'play.total', { ...said, total: totals[player]! }, 'play.ask');
    } else yield turnOf(player + 1, 'play.turn', said, 'play.ask');
    if (own.end.when === 'turns' && n + 1 === number * players) return;
    if (own.end.when === 'covered' && [...open.values()].every((left) => left === 0)) return;
    if (own.end.when === 'reached' && totals[player]! >= number) return;
  }
}

/** A picture of the kind of turn, and of what is made of it. */
function drawingOf(own: OwnGame): Shape[] {
  const turn: Record<OwnGame['turn']['kind'], Shape[]> = {
    roll: [...die(14, 22, 18, 5), ...(own.turn.count > 1 ? die(34, 28, 18, 3, TONE.straw) : [])],
    draw: [...cardShape(12, 20, '4'), ...cardShape(30, 24, '7', TONE.straw)],
    spin: [dot(30, 34, 16, TONE.leaf), stroke('M30 34 L40 22 M30 18 L30 50 M14 34 L46 34', TONE.ink, 1.2)],
    toss: [dot(16, 40, 6), dot(30, 30, 6, TONE.straw), dot(42, 44, 6)],
    show: cardShape(22, 20, '5', TONE.card, 18, 26),
  };
  const made: Record<OwnGame['make'], Shape[]> = {
    sum: [sign(76, 46, '+', 26, TONE.fern)],
    difference: [sign(76, 46, '−', 26, TONE.fern)],
    product: [sign(76, 46, '×', 26, TONE.fern)],
    compare: [sign(76, 46, '<', 26, TONE.fern)],
    cover: [
      ...[0, 1, 2, 3].map((i) => box(62 + (i % 2) * 14, 20 + Math.floor(i / 2) * 14, 14, 14)),
      dot(69, 27, 4.6, TONE.clay),
    ],
    path: [stroke('M58 46 C64 20 74 54 90 24', TONE.clay, 2.4), dot(90, 24, 4)],
    collect: [0, 1, 2, 3, 4].map((i) => dot(62 + (i % 3) * 12, 48 - Math.floor(i / 3) * 12, 5, TONE.clay)),
  };
  return [...turn[own.turn.kind], ...made[own.make], bench];
}
