import { data, type ShouldRevalidateFunction } from 'react-router';
import { Form } from '~/app/ui/sending';
import styled from 'styled-components';
import { visible } from '~/core/check/keepable';
import type { Variant } from '~/core/games/kit/game';
import { homeOf } from '~/core/lending/school';
import { gameFor, open, type GameRef } from '~/core/own/open';
import {
  deskGroups,
  gamesThatSay,
  ordinary,
  PART_NAMES,
  type DeskGroup,
  type DeskLine as ReadLine,
} from '~/core/pack/desk';
import { MOST_NOTE } from '~/core/words/invitation';
import { aboutLanguage, type Language } from '~/core/words/languages';
import { englishOf, isShared, linesOf, messageIn, nameOf } from '~/core/words/reading';
import { SHARED } from '~/core/words/shared';
import type { SchoolHandle } from '~/data/db';
import { findKit } from '~/data/queries/kits';
import { readingAt } from '~/data/queries/wording';
import { voicesOf } from '~/data/queries/voices';
import { lineStates, saveLineWords } from '~/data/queries/words';
import { textIn } from '~/server/forms';
import { changesOf } from '~/server/changes';
import { requireWorded } from '~/server/games/find';
import { isId } from '~/server/ids';
import { unclearIn } from '~/server/listening/unclear';
import { requireRole } from '~/server/people/session';
import { Button, useSending } from '~/app/ui/Button';
import { Changes, type FieldWords } from '~/app/ui/Changes';
import { Said } from '~/app/ui/Notices';
import { Faint, Heading, Stack, Wide } from '~/app/ui/Page';
import { color, narrow } from '~/app/ui/theme';
import { DeskLine, type Shown } from './DeskLine';
import type { Route } from './+types/desk';

export const meta: Route.MetaFunction = () => [{ title: 'Words desk · Fern Basket' }];

const languageIn = (request: Request, languages: readonly Language[]): Language => {
  const wanted = new URL(request.url).searchParams.get('language');
  return languages.find((language) => language !== 'en' && language === wanted) ?? homeOf(languages);
};

/** The settings with which a game is read: those of a kit, or its ordinary ones. */
async function settingsOf(at: SchoolHandle, ref: GameRef, kitId: string | null): Promise<Variant> {
  const kit = kitId !== null && isId(kitId) ? await findKit(at, kitId) : undefined;
  const variant = kit?.variants.find(({ gameId }) => gameId === ref.gameId);
  if (variant) return open(variant);
  return ordinary(gameFor(ref));
}

export async function loader({ request, params }: Route.LoaderArgs) {
  const { at, school, role } = await requireRole(request, 'coordinator', 'reader');
  const game = await requireWorded(at, params.gameId);
  const target = languageIn(request, school.languages);
  const { args, ref } = game;
  const [reading, states, changes, voices, unclear, variant] = await Promise.all([
    readingAt(at, target),
    lineStates(at, game, target),
    changesOf(at, 'wording', game.id),
    voicesOf(at, target, [game.id, SHARED.id]),
    unclearIn(at, game.id, target),
    ref && settingsOf(at, ref, new URL(request.url).searchParams.get('kit')),
  ]);
  const groups: { part: DeskGroup['part'] | 'all'; lines: ReadLine[] }[] = variant
    ? deskGroups(variant)
    : [{ part: 'all', lines: Object.keys(game.words.en).map((id) => ({ id, args: args[id] ?? {} })) }];
  return {
    id: game.id,
    title: game.title,
    // A game of the school's own is worded in itself.
    mayWord: !game.words.own,
    decides: role === 'coordinator',
    target,
    languages: school.languages,
    groups: groups.map(({ part, lines }) => ({
      part,
      title: part === 'all' ? undefined : PART_NAMES[part],
      lines: lines.map((line): Shown => {
        const message = messageIn(reading, game.words, line.id);
        return {
          ...line,
          english: englishOf(reading, game.words, line.id)!,
          ...(message === undefined ? {} : { message }),
          ...(game.id === SHARED.id || isShared(reading, game.words, line.id)
            ? { saidBy: gamesThatSay(line.id).map((one) => nameOf(one)) }
            : {}),
          state: states[line.id]!,
          voices: voices.filter(({ messageId }) => messageId === line.id),
          unclear: unclear[line.id] ?? 0,
        };
      }),
    })),
    changes,
  };
}

export async function action({ request, params }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator', 'reader');
  const { at } = person;
  const game = await requireWorded(at, params.gameId);
  const language = languageIn(request, person.school.languages);
  const reading = await readingAt(at, language);
  const form = await request.formData();
  // Of each line the form says what it showed when it was opened: only what was changed since is an opinion.
  const lines = Object.keys(linesOf(reading, game.words)).flatMap((messageId) => {
    const had = /^([01]) ?([^]*)$/.exec(textIn(form, `had ${messageId}`));
    if (!had) return [];
    const right = form.get(`right ${messageId}`) === 'yes';
    const note = visible(textIn(form, `note ${messageId}`), true).slice(0, MOST_NOTE);
    return [{ messageId, right, note, had: { right: had[1] === '1', note: visible(had[2] ?? '', true) } }];
  });
  if (lines.length === 0)
    return data(
      { saved: 0, clashes: [], problem: 'Load this page again; nothing was changed.' },
      { status: 400 },
    );
  const { saved, clashes } = await saveLineWords(at, game, language, lines, person.id);
  return data({ saved, clashes, problem: undefined }, { status: clashes.length ? 409 : 200 });
}

/** A refusal too is followed by a fresh look: what others said in the meantime is shown. Looking at a line changes nothing. */
export const shouldRevalidate: ShouldRevalidateFunction = ({ formData }) => formData?.get('intent') !== 'see';

const Lines = styled.ol`
  display: grid;
  > li {
    display: grid;
    grid-template-columns: 2rem minmax(0, 1fr) minmax(0, 1fr) 25rem;
    gap: 1.2rem;
    padding: 0.45rem 0;
    > .number {
      color: ${color.faint};
      text-align: end;
    }
    > div > p,
    > .number {
      padding-top: 0.6rem;
    }
    /* While it is worded a line has the room of its verdict too, which waits below. */
    > .editing,
    > .editing + .verdict {
      grid-column: 3 / -1;
    }
    .verdict {
      display: grid;
      grid-template-columns: 8rem minmax(0, 1fr);
      gap: 0.8rem;
    }
    border-bottom: 1px solid ${color.line};
    align-items: start;
  }
  ${narrow} {
    > li {
      grid-template-columns: minmax(0, 1fr);
    }
    > li > .editing,
    > li > .editing + .verdict {
      grid-column: auto;
    }
  }
`;

const verdictWords = ({ right, note }: { right: boolean; note: string }): string =>
  `${right ? '“it is right”' : '“not right yet”'}${note ? `, with the note “${note}”` : ''}`;
const LINES: FieldWords = {
  label: (id) => `Line “${id}”`,
  show: (_, value) => verdictWords(value as { right: boolean; note: string }),
};

export default function Desk({ loaderData, actionData }: Route.ComponentProps) {
  const { id: sourceId, title, target, groups, mayWord, decides } = loaderData;
  const lines = groups.flatMap((group) => group.lines);
  const busy = useSending();
  return (
    <Wide>
      <Form method="post">
        <Stack>
          <Heading
            title={`${title} in ${aboutLanguage(target).name}`}
            action={
              <Button type="submit" isPending={busy}>
                Save what was checked
              </Button>
            }
          >
            Does each line on the right say what the line on the left says, the way a family would say it?
            Tick the right ones; write a note where it should be said differently.
          </Heading>
          {actionData?.problem && <Said kind="stop">{actionData.problem}</Said>}
          {actionData && actionData.clashes.length > 0 && (
            <Said kind="mind" word="Some lines were not saved" live>
              Somebody else said something other about them while you had them open. They stand below as they
              are now; change them once more where you still think otherwise.
              <ul>
                {actionData.clashes.map(({ messageId, by, mine, theirs }) => (
                  <li key={messageId}>
                    Line {lines.findIndex(({ id }) => id === messageId) + 1}: {by} says {verdictWords(theirs)}
                    ; you said {verdictWords(mine)}.
                  </li>
                ))}
              </ul>
            </Said>
          )}
          {actionData && !actionData.problem && (actionData.saved > 0 || actionData.clashes.length === 0) && (
            <Said kind="done" word="Saved" live>
              {actionData.saved === 0
                ? 'Nothing had changed.'
                : `${actionData.saved} ${actionData.saved === 1 ? 'line was' : 'lines were'} noted.`}
            </Said>
          )}
          {groups.map(({ part, title: named, lines: inPart }) => (
            <Stack key={part} $gap="0.2rem">
              {named && <h2>{named}</h2>}
              <Lines>
                {inPart.map((line) => (
                  <DeskLine
                    key={`${target} ${line.id} ${line.message ?? ''} ${JSON.stringify(line.state)}`}
                    sourceId={sourceId}
                    line={line}
                    number={lines.indexOf(line) + 1}
                    target={target}
                    mayWord={mayWord}
                    decides={decides}
                  />
                ))}
              </Lines>
            </Stack>
          ))}
          <Faint>A line that is worded anew must be checked anew.</Faint>
          <Changes rows={loaderData.changes} words={LINES} />
        </Stack>
      </Form>
    </Wide>
  );
}
