import { data, redirect } from 'react-router';
import { checkJson } from '~/core/check/check';
import {
  choicesSchema,
  meantBy,
  withPin,
  withVeto,
  withoutPin,
  withoutVeto,
  type RoundChoices,
} from '~/core/lending/choices';
import { wallWords } from '~/core/lending/round';
import { endRound, findRound, promiseRound, promisesOf, saveChoices, undoRound } from '~/data/queries/rounds';
import { findGathering } from '~/data/queries/gatherings';
import { undoLoan } from '~/data/queries/lending';
import { byIntent, textIn, versionIn } from '~/server/forms';
import { isId } from '~/server/ids';
import { handOver } from '~/server/lending/handover';
import { isLarge, roundInput, shownOf, solveRound } from '~/server/lending/rounds';
import { weightsIn } from '~/server/lending/weights';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { today as todayAtSchool } from '~/server/today';
import { HandingOut } from './HandingOut';
import { Planning } from './Planning';
import type { Route } from './+types/round';

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.round.name ?? 'Hand-out'} · Fern Basket` },
];

export async function loader({ request, params }: Route.LoaderArgs) {
  const { at, role } = await requireRole(request, 'coordinator', 'helper');
  const round = isId(params.roundId) ? await findRound(at, params.roundId) : undefined;
  const coordinates = role === 'coordinator';
  if (!round || (!coordinates && round.state !== 'promised')) throw notFound('This hand-out');
  const today = todayAtSchool(at);
  const { id, name, onDay, state, version } = round;
  const frame = { coordinates, today, round: { id, name, onDay, state, version } };
  if (state !== 'planned') return { ...frame, plan: undefined, promises: await promisesOf(at, round.id) };
  const weights = weightsIn(new URL(request.url).searchParams, round.choices.weights);
  const { gathering } = round.choices;
  const [input, cameTo] = await Promise.all([
    roundInput(at, { ...round.choices, weights }, today),
    gathering ? findGathering(at, gathering) : undefined,
  ]);
  const shown = shownOf(input);
  const meant = meantBy(round.choices, cameTo?.name);
  const plan = { ...shown, meant, weights, kept: round.choices.weights, vetoes: round.choices.vetoes };
  // What takes longer is solved while it is told how far it has come.
  if (isLarge(input.asked)) return { ...frame, plan: { ...plan, solved: undefined, problem: undefined } };
  try {
    return { ...frame, plan: { ...plan, solved: await solveRound(input), problem: undefined } };
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return { ...frame, plan: { ...plan, solved: undefined, problem: error.message } };
  }
}

const CHANGED =
  'This hand-out was changed or settled meanwhile. Look at it as it is now; nothing was changed.';

export async function action({ request, params }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator', 'helper');
  const { at } = person;
  const round = isId(params.roundId) ? await findRound(at, params.roundId) : undefined;
  if (!round) throw notFound('This hand-out');
  const form = await request.formData();
  const refuse = (problem: string, status: number) => data({ problem, heard: undefined }, { status });
  const here = `/lend/rounds/${round.id}`;
  const text = (name: string): string => textIn(form, name);
  const coordinating = async <T,>(work: () => Promise<T>) => {
    if (person.role !== 'coordinator')
      return refuse('Whoever coordinates plans hand-outs. Nothing was changed.', 403);
    return work();
  };
  const search = new URLSearchParams(text('weights'));
  const weights = weightsIn(search, round.choices.weights);
  /** Changes what is chosen, when the page knows the hand-out as it is. */
  const choose = (change: (choices: RoundChoices) => RoundChoices | string) =>
    coordinating(async () => {
      const openedOn = versionIn(form);
      if (openedOn === undefined) return refuse(CHANGED, 400);
      const changed = change({ ...round.choices, weights });
      if (typeof changed === 'string') return refuse(changed, 409);
      const checked = checkJson(choicesSchema, changed);
      if (!checked.ok) return refuse('There is no room for more pins or vetoes.', 400);
      if (!(await saveChoices(at, round.id, checked.value, openedOn))) return refuse(CHANGED, 409);
      throw redirect(here);
    });
  const family = text('family');
  return byIntent(form, {
    weights: () => choose((choices) => choices),
    pin: async () => {
      const input = await roundInput(at, { ...round.choices, weights }, todayAtSchool(at));
      return choose((choices) => pinned(input, choices, family, text('copy')));
    },
    unpin: () => choose((choices) => withoutPin(choices, family)),
    swap: async () => {
      const input = await roundInput(at, { ...round.choices, weights }, todayAtSchool(at));
      return choose((choices) => {
        const once = pinned(input, choices, family, text('otherCopy'));
        return typeof once === 'string' ? once : pinned(input, once, text('other'), text('copy'));
      });
    },
    veto: async () => {
      const input = await roundInput(at, round.choices, todayAtSchool(at));
      const kitOf = (copy: string) => input.copies.find(({ id }) => id === copy)?.kitId;
      return choose((choices) => withVeto(choices, family, text('kit'), kitOf));
    },
    allow: () => choose((choices) => withoutVeto(choices, family, text('kit'))),
    promise: () =>
      coordinating(async () => {
        if (versionIn(form) !== round.version) return refuse(CHANGED, 409);
        const input = await roundInput(at, { ...round.choices, weights }, todayAtSchool(at));
        let solved;
        try {
          solved = await solveRound(input, { signal: request.signal });
        } catch (error) {
          if (!(error instanceof RangeError)) throw error;
          return refuse(error.message, 409);
        }
        const done = await promiseRound(at, round.id, solved.round.matches, person.id);
        if (done === 'changed') return refuse(CHANGED, 409);
        if (done === 'taken')
          return refuse(
            'A bag or a family of it is not free any more. It is matched anew with what is there; look at it, and promise it then.',
            409,
          );
        throw redirect(here);
      }),
    undoAll: () =>
      coordinating(async () => {
        if (!(await undoRound(at, round.id, person.id)))
          return refuse(
            'A bag of this hand-out has gone out already, so it cannot be undone as a whole. Undo single loans, or end it: what was not fetched stays.',
            409,
          );
        throw redirect(here);
      }),
    end: () =>
      coordinating(async () => {
        if (!(await endRound(at, round.id, person.id))) return refuse('It is over already.', 409);
        throw redirect(here);
      }),
    hand: async () => {
      const familyId = form.get('family');
      const heard = await handOver(at, {
        roundId: round.id,
        text: text('text').slice(0, 300).trim(),
        ...(isId(familyId) ? { familyId } : {}),
        personId: person.id,
      });
      return data({ problem: undefined, heard }, { status: heard.kind === 'wrong' ? 409 : 200 });
    },
    undoOne: async () => {
      const loanId = form.get('loan');
      const undone = isId(loanId) ? await undoLoan(at, loanId, person.id) : undefined;
      return undone?.ok
        ? data({
            problem: undefined,
            heard: {
              kind: 'right' as const,
              word: 'Undone',
              text: 'The bag is at school, and promised as before.',
            },
          })
        : refuse(undone?.why ?? 'There is no such loan.', 409);
    },
  });
}

/** A bag pinned to a family, or why it cannot be. */
function pinned(
  input: Awaited<ReturnType<typeof roundInput>>,
  choices: RoundChoices,
  family: string,
  copy: string,
): RoundChoices | string {
  const bag = input.copies.find(({ id }) => id === copy);
  const whom = input.families.find(({ id }) => id === family);
  if (!bag || !whom) return 'This bag or this family is not free any more. Nothing was changed.';
  const why = wallWords(input.asked, bag.kitId, whom.id);
  if (why) return `${bag.kitName} cannot go to ${whom.name}: ${why}. Nothing was changed.`;
  return withPin(choices, family, copy, bag.kitId);
}

export default function RoundPage({ loaderData, actionData }: Route.ComponentProps) {
  const { round, coordinates, today } = loaderData;
  return loaderData.plan ? (
    <Planning
      key={round.id}
      round={round}
      plan={loaderData.plan}
      problem={actionData?.problem}
      today={today}
    />
  ) : (
    <HandingOut
      key={round.id}
      round={round}
      promises={loaderData.promises}
      coordinates={coordinates}
      problem={actionData?.problem}
    />
  );
}
