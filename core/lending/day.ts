/** The work of a day: what can be done today, in the order in which it is best done, each thing with its one act. */
import type { Role } from '~/core/people/role';
import { count, listed } from '~/core/words/numbers';
import { showTag } from '~/core/kits/tag';
import { showDay } from './due';

/** The stations, in the order of the work. */
export type StationKey = 'choose' | 'fill' | 'word' | 'print' | 'lend' | 'takeBack' | 'listen' | 'lookBack';

/** A bag, and with whom it has to do. */
export interface BagOf {
  tag: string;
  family: string;
}
export interface DayFacts {
  today: string;
  /** Scans that were made without network and could not be kept. */
  clashes: number;
  /** Home, and not counted yet. */
  toCount: BagOf[];
  dueToday: BagOf[];
  overdue: BagOf[];
  /** Set aside for who waits, with the last day. */
  aside: (BagOf & { keptUntil: string })[];
  /** Settled hand-outs whose day has come, with the bags that are still to go. */
  rounds: { id: string; name: string; bags: number }[];
  /** Copies at school whose missing parts are all in the store. */
  mendable: { tag: string }[];
  /** Copies that are made and whose pack is not printed. */
  unprinted: number;
  /** Build runs that are begun. */
  runs: { id: string; copies: number }[];
  /** Answers that nobody has read; of them those that tell of something missing, or say something of their own. */
  unread: number;
  asking: number;
  /** Texts that could not be read by themselves. */
  texts: number;
  /** Reminders to print, held back, and such as could not be sent. */
  strips: number;
  held: number;
  failed: number;
  /** Lines that families read at home now and that nobody has found right, and in how many languages. */
  lines: number;
  languages: number;
  /** What the school has of what it cannot lend without. */
  kits: number;
  copies: number;
  families: number;
  /** Terms and days off that are written down. */
  schoolDays: number;
}

export interface DayTask {
  id: string;
  /** Where it is done. */
  station: StationKey;
  count: number;
  title: string;
  /** Why today, in a sentence. */
  why: string;
  /** The first of what it is about. */
  about: string[];
  act: { label: string; to: string };
  roles: readonly Role[];
}

const MOST_NAMED = 6;
const BOTH: readonly Role[] = ['coordinator', 'helper'];
const COORDINATOR: readonly Role[] = ['coordinator'];

/** What is said of one thing, or of several. */
const said = (n: number, one: string, more: string): string => (n === 1 ? one : more);

const bags = (all: readonly BagOf[]): string[] => [
  ...all.slice(0, MOST_NAMED).map(({ tag, family }) => `${showTag(tag)}, ${family}`),
  ...(all.length > MOST_NAMED ? [`and ${all.length - MOST_NAMED} more`] : []),
];

/** What a school begins with: until it has bags and families there is nothing to lend. */
function firstTasks({ kits, copies, families, schoolDays, runs }: DayFacts): DayTask[] {
  const about = { count: 1, about: [], roles: COORDINATOR };
  const beginning = copies === 0 || families === 0;
  const tasks: (DayTask | false)[] = [
    kits === 0 && {
      ...about,
      id: 'first kit',
      station: 'choose',
      title: 'Choose games for a first kit',
      why: 'A kit says what lies in a bag: a few games, and the parts they are played with.',
      act: { label: 'Choose games', to: '/choose' },
    },
    kits > 0 &&
      copies === 0 &&
      runs.length === 0 && {
        ...about,
        id: 'first bags',
        station: 'fill',
        title: 'Make the first bags',
        why: 'A build run says what to buy, print, cut and count, and goes on where it was left.',
        act: { label: 'Plan a build run', to: '/fill/runs/new' },
      },
    families === 0 && {
      ...about,
      id: 'first families',
      station: 'lend',
      title: 'Write down your families',
      why: 'A name to call them by and the language they read are enough; a list can be brought in.',
      act: { label: 'Bring in a list', to: '/lend/families/import' },
    },
    beginning &&
      schoolDays === 0 && {
        ...about,
        id: 'first days',
        station: 'lend',
        title: 'Say when there is school',
        why: 'Bags are due on school days only; breaks and days off are known once they are written down.',
        act: { label: 'Open the calendar', to: '/lend/calendar' },
      },
  ];
  return tasks.filter((task) => task !== false);
}

/** All that can be done today, whoever does it. */
function allTasks(day: DayFacts): DayTask[] {
  const tasks: (DayTask | false)[] = [
    day.clashes > 0 && {
      id: 'clashes',
      station: 'lend',
      count: day.clashes,
      title: `Look at ${count(day.clashes, 'scan')} from the hall`,
      why: 'Scanned without network: the bag had gone elsewhere meanwhile.',
      about: [],
      act: { label: 'See what happened', to: '/lend/hall' },
      roles: BOTH,
    },
    day.toCount.length > 0 && {
      id: 'count',
      station: 'takeBack',
      count: day.toCount.length,
      title: `Count ${count(day.toCount.length, 'bag')} that came home`,
      why: said(
        day.toCount.length,
        'Until it is counted it goes out to nobody.',
        'Until they are counted they go out to nobody.',
      ),
      about: bags(day.toCount),
      act: { label: said(day.toCount.length, 'Count it', 'Count them'), to: '/take-back' },
      roles: BOTH,
    },
    ...day.rounds.map((round): DayTask => ({
      id: `round ${round.id}`,
      station: 'lend',
      count: round.bags,
      title: `Hand out ${count(round.bags, 'bag')}: ${round.name}`,
      why: said(
        round.bags,
        'It is promised, and its day has come.',
        'They are promised, and their day has come.',
      ),
      about: [],
      act: { label: said(round.bags, 'Hand it out', 'Hand them out'), to: `/lend/rounds/${round.id}` },
      roles: BOTH,
    })),
    day.aside.length > 0 && {
      id: 'aside',
      station: 'lend',
      count: day.aside.length,
      title: `Put ${count(day.aside.length, 'bag')} aside`,
      why: said(
        day.aside.length,
        'A family has asked for it and may fetch it; after its day it goes to the next.',
        'A family has asked for each and may fetch it; after its day it goes to the next.',
      ),
      about: day.aside
        .slice(0, MOST_NAMED)
        .map(({ tag, family, keptUntil }) => `${showTag(tag)}, ${family}, until ${showDay(keptUntil)}`),
      act: { label: 'See who waits', to: '/lend/waiting' },
      roles: COORDINATOR,
    },
    day.dueToday.length > 0 && {
      id: 'due',
      station: 'takeBack',
      count: day.dueToday.length,
      title: `Take back ${count(day.dueToday.length, 'bag')} today`,
      why: said(
        day.dueToday.length,
        'It is due today; whoever brings it is thanked.',
        'They are due today; whoever brings one is thanked.',
      ),
      about: bags(day.dueToday),
      act: { label: said(day.dueToday.length, 'Take it back', 'Take them back'), to: '/take-back' },
      roles: BOTH,
    },
    day.overdue.length > 0 && {
      id: 'overdue',
      station: 'takeBack',
      count: day.overdue.length,
      title: `Ask after ${count(day.overdue.length, 'bag')}`,
      why: `${said(day.overdue.length, 'It was', 'They were')} due before today. A kind word at the gate does more than a message.`,
      about: bags(day.overdue),
      act: { label: 'See which', to: '/take-back' },
      roles: COORDINATOR,
    },
    day.unread > 0 && {
      id: 'answers',
      station: 'listen',
      count: day.unread,
      title: `Read ${count(day.unread, 'new answer')}`,
      why:
        day.asking > 0
          ? 'Something is missing, or was said in their own words.'
          : 'What children did and said is worth a minute.',
      about: [],
      act: { label: said(day.unread, 'Read it', 'Read them'), to: '/listen' },
      roles: COORDINATOR,
    },
    day.texts > 0 && {
      id: 'texts',
      station: 'listen',
      count: day.texts,
      title: `Say what ${count(day.texts, 'text')} of families ${said(day.texts, 'means', 'mean')}`,
      why: 'They could not be read by themselves, and nothing is guessed.',
      about: [],
      act: { label: said(day.texts, 'Look at it', 'Look at them'), to: '/listen/texts' },
      roles: COORDINATOR,
    },
    day.failed > 0 && {
      id: 'failed',
      station: 'lend',
      count: day.failed,
      title: `See to ${count(day.failed, 'message')} that could not be sent`,
      why: 'Try once more, or put it on paper.',
      about: [],
      act: { label: said(day.failed, 'See it', 'See them'), to: '/lend/messages' },
      roles: COORDINATOR,
    },
    day.strips > 0 && {
      id: 'strips',
      station: 'lend',
      count: day.strips,
      title: `Print ${count(day.strips, 'reminder')} on paper`,
      why: 'Who is reminded by a strip in the bag gets it class by class.',
      about: [],
      act: { label: 'Print the strips', to: '/lend/messages' },
      roles: COORDINATOR,
    },
    day.mendable.length > 0 && {
      id: 'mend',
      station: 'takeBack',
      count: day.mendable.length,
      title: `Mend ${count(day.mendable.length, 'bag')}`,
      why: said(day.mendable.length, 'The store has all that it lacks.', 'The store has all that they lack.'),
      about: [listed(day.mendable.slice(0, MOST_NAMED).map(({ tag }) => showTag(tag)))],
      act: { label: said(day.mendable.length, 'Mend it', 'Mend them'), to: '/take-back/tasks' },
      roles: BOTH,
    },
    ...day.runs.map((run): DayTask => ({
      id: `run ${run.id}`,
      station: 'fill',
      count: 1,
      title: `Go on making ${count(run.copies, 'bag')}`,
      why: 'A build run is begun, and goes on where it was left.',
      about: [],
      act: { label: 'Go on', to: `/fill/runs/${run.id}` },
      roles: BOTH,
    })),
    day.unprinted > 0 && {
      id: 'print',
      station: 'print',
      count: day.unprinted,
      title: `Print ${count(day.unprinted, 'pack')}`,
      why: said(
        day.unprinted,
        'The bag cannot go out without its sheets.',
        'The bags cannot go out without their sheets.',
      ),
      about: [],
      act: { label: said(day.unprinted, 'Print it', 'Print them'), to: '/print' },
      roles: BOTH,
    },
    day.lines > 0 && {
      id: 'lines',
      station: 'word',
      count: day.lines,
      title: `Check ${count(day.lines, 'line')} in ${count(day.languages, 'language')}`,
      why: said(
        day.lines,
        'Families read it at home now, and no fluent reader has found it right.',
        'Families read them at home now, and no fluent reader has found them right.',
      ),
      about: [],
      act: { label: said(day.lines, 'Check it', 'Check them'), to: '/word' },
      roles: ['coordinator', 'reader'],
    },
    day.held > 0 && {
      id: 'held',
      station: 'word',
      count: day.held,
      title: `Let ${count(day.held, 'message')} go`,
      why: `${said(day.held, 'It is', 'They are')} held back until the wording of messages is checked in ${said(day.held, 'its', 'their')} language.`,
      about: [],
      act: { label: 'Check the wording', to: '/word/reminders' },
      roles: ['coordinator', 'reader'],
    },
  ];
  return [...tasks.filter((task) => task !== false), ...firstTasks(day)];
}

/** The work of a day for somebody of a role, in the order in which it is best done. */
export const dayWork = (day: DayFacts, role: Role): DayTask[] =>
  allTasks(day).filter(({ roles }) => roles.includes(role));

/** What waits at each station today: what can be done, and nothing else. */
export function waitingOf(day: DayFacts, role: Role): Record<StationKey, number> {
  const counts: Record<StationKey, number> = {
    choose: 0,
    fill: 0,
    word: 0,
    print: 0,
    lend: 0,
    takeBack: 0,
    listen: 0,
    lookBack: 0,
  };
  for (const task of dayWork(day, role)) counts[task.station] += task.count;
  return counts;
}
