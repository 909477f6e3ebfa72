import { data, Form, useNavigation } from 'react-router';
import styled from 'styled-components';
import { gameFor } from '~/core/games';
import { exampleArgs } from '~/core/words/examples';
import { LANGUAGES, say, WORDED, type Worded } from '~/core/words/message';
import { addLineChecks, lineChecks } from '~/data/queries/words';
import { lineKey } from '~/core/words/checks';
import { requireRole } from '~/server/people/session';
import { requireGame } from '~/server/games/find';
import { Button } from '~/app/ui/Button';
import { TextBox, TickBox } from '~/app/ui/fields';
import { Said } from '~/app/ui/Notices';
import { Faint, Heading, Stack, Wide } from '~/app/ui/Page';
import { color, narrow } from '~/app/ui/theme';
import type { Route } from './+types/desk';

export const meta: Route.MetaFunction = () => [{ title: 'Words desk · Fern Basket' }];

const languageIn = (request: Request): Worded => {
  const wanted = new URL(request.url).searchParams.get('language');
  return WORDED.find((language) => language !== 'en' && language === wanted) ?? 'es';
};

export async function loader({ request, params }: Route.LoaderArgs) {
  await requireRole(request, 'coordinator', 'reader');
  const gameRef = await requireGame(params.gameId);
  return { gameRef, target: languageIn(request), checks: await lineChecks(gameFor(gameRef)) };
}

export async function action({ request, params }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator', 'reader');
  const game = gameFor(await requireGame(params.gameId));
  const language = languageIn(request);
  const form = await request.formData();
  const before = await lineChecks(game);
  const rows = Object.keys(game.words[language]).flatMap((messageId) => {
    const right = form.get(`right ${messageId}`) === 'yes';
    const note = String(form.get(`note ${messageId}`) ?? '')
      .trim()
      .slice(0, 500);
    const old = before[lineKey(messageId, language)];
    const changed = right !== (old?.right ?? false) || note !== (old?.note ?? '');
    return changed ? [{ messageId, language, right, note, personId: person.id }] : [];
  });
  await addLineChecks(game, rows);
  return data({ saved: rows.length });
}

const Lines = styled.ol`
  display: grid;
  li {
    display: grid;
    grid-template-columns: 2rem minmax(0, 1fr) minmax(0, 1fr) 25rem;
    gap: 1.2rem;
    padding: 0.45rem 0;
    .number {
      color: ${color.faint};
      text-align: end;
    }
    p,
    .number {
      padding-top: 0.6rem;
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
    li {
      grid-template-columns: minmax(0, 1fr);
    }
  }
`;

export default function Desk({ loaderData, actionData }: Route.ComponentProps) {
  const { gameRef, target, checks } = loaderData;
  const busy = useNavigation().state !== 'idle';
  const game = gameFor(gameRef);
  const args = exampleArgs(game);
  const title = say(game.words, 'en', 'name');
  return (
    <Wide>
      <Form method="post">
        <Stack>
          <Heading
            title={`${title} in ${LANGUAGES[target].name}`}
            action={
              <Button type="submit" isPending={busy}>
                Save what was checked
              </Button>
            }
          >
            Does each line on the right say what the line on the left says, the way a family would say it?
            Tick the right ones; write a note where it should be said differently.
          </Heading>
          {actionData && (
            <Said kind="done" word="Saved" live>
              {actionData.saved === 0
                ? 'Nothing had changed.'
                : `${actionData.saved} ${actionData.saved === 1 ? 'line was' : 'lines were'} noted.`}
            </Said>
          )}
          <Lines>
            {Object.keys(game.words.en).map((id, line) => {
              const check = checks[lineKey(id, target)];
              const values = args[id];
              return (
                <li key={id}>
                  <span className="number">{line + 1}</span>
                  <p lang="en">{say(game.words, 'en', id, values)}</p>
                  <p lang={target} dir={LANGUAGES[target].direction}>
                    {say(game.words, target, id, values)}
                  </p>
                  <div className="verdict">
                    <TickBox name={`right ${id}`} value="yes" defaultSelected={check?.right ?? false}>
                      It is right<span className="visually-hidden">, line {line + 1}</span>
                      {check?.right && <Faint as="small"> ({check.by})</Faint>}
                    </TickBox>
                    <TextBox
                      name={`note ${id}`}
                      label={`Note on line ${line + 1}`}
                      labelHidden
                      placeholder="how it should be said"
                      defaultValue={check?.note}
                      maxLength={500}
                    />
                  </div>
                </li>
              );
            })}
          </Lines>
          <Faint>A line that is worded anew must be checked anew.</Faint>
        </Stack>
      </Form>
    </Wide>
  );
}
