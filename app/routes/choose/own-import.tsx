import { data, Link, redirect } from 'react-router';
import { Form } from '~/app/ui/sending';
import { ownGameId } from '~/core/own/ids';
import { keepOwnGame } from '~/server/games/own';
import { MOST_BYTES } from '~/server/games/read';
import { requireRole } from '~/server/people/session';
import { Button, useSending } from '~/app/ui/Button';
import { FileBox } from '~/app/ui/fields/FileBox';
import { Said } from '~/app/ui/Notices';
import { Faint, Heading, Row, Panel, Stack, Wide } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import type { Route } from './+types/own-import';

export const meta: Route.MetaFunction = () => [{ title: 'Bring a game in · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  await requireRole(request, 'coordinator');
  return null;
}

export async function action({ request }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator');
  const { at } = person;
  const file = (await request.formData()).get('file');
  const refuse = (sentence: string) => data({ errors: { '': sentence } }, { status: 400 });
  if (!(file instanceof File) || file.size === 0) return refuse('Choose a file first.');
  if (file.size > MOST_BYTES) return refuse('This file is too large to be one game. Nothing was read.');
  const kept = await keepOwnGame(at, await file.text(), person.id);
  if (!kept.ok) return data({ errors: kept.errors }, { status: 400 });
  throw redirect(`/choose/${ownGameId(kept.id)}`);
}

export default function ImportOwnGame({ actionData }: Route.ComponentProps) {
  const busy = useSending();
  const errors = Object.entries(actionData?.errors ?? {});
  return (
    <Wide>
      <Stack>
        <Heading title="Bring a game in from a file">
          A game that another school made and took out as a JSON file.
        </Heading>
        <Panel>
          <Form method="post" encType="multipart/form-data">
            <Stack $gap="0.8rem">
              <label htmlFor="file">
                <strong>File</strong>
              </label>
              <FileBox id="file" type="file" name="file" accept="application/json,.json" />
              <Row>
                <Button type="submit" isPending={busy}>
                  Bring this game in
                </Button>
              </Row>
            </Stack>
          </Form>
        </Panel>
        {errors.length > 0 && (
          <Said kind="stop" word="Refused" live>
            Nothing was kept. Put these places right in the file, and bring it in again.
            <Table
              rows={errors}
              rowKey={([place]) => place}
              columns={[
                { head: 'Place', cell: ([place]) => place || 'the whole file' },
                { head: 'What is wrong', cell: ([, sentence]) => sentence },
              ]}
            />
          </Said>
        )}
        <Faint>
          The form of the file is published as{' '}
          <Link to="/own-game.schema.json" reloadDocument>
            JSON Schema
          </Link>
          .
        </Faint>
      </Stack>
    </Wide>
  );
}
