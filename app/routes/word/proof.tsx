import { useState } from 'react';
import { Link } from 'react-router';
import { Form, useFetcher } from '~/app/ui/sending';
import { findProof } from '~/data/queries/proofs';
import { lineNow } from '~/data/queries/wording';
import { aboutLanguage } from '~/core/words/languages';
import { count } from '~/core/words/numbers';
import { showTime } from '~/server/changes';
import { requireWorded } from '~/server/games/find';
import { isId } from '~/server/ids';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { Button, ButtonLink } from '~/app/ui/Button';
import { NumberBox } from '~/app/ui/fields/NumberBox';
import { Said } from '~/app/ui/Notices';
import { Faint, Heading, Panel, Row, Stack, Wide } from '~/app/ui/Page';
import { read } from './Advice';
import type { action as wordIt } from './line';
import { Preview } from './Preview';
import { Worder } from './Worder';
import type { Route } from './+types/proof';

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Proof of ${loaderData?.kit ?? 'a kit'} · Fern Basket` },
];

export async function loader({ request, params }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator', 'reader');
  const kept = isId(params.proofId) ? await findProof(at, params.proofId) : undefined;
  if (!kept) throw notFound('This proof');
  const asked = new URL(request.url).searchParams.get('line');
  const number = asked !== null && /^\d{1,4}$/.test(asked) ? Number(asked) : undefined;
  const line = number === undefined ? undefined : kept.lines[number - 1];
  const worded = line && (await requireWorded(at, line.sourceId));
  const now =
    line && worded && Object.hasOwn(worded.words.en, line.messageId)
      ? await lineNow(at, worded, line.messageId, kept.language)
      : undefined;
  return {
    id: kept.id,
    kit: kept.kit,
    kitId: kept.kitId,
    target: kept.language,
    made: showTime(at, kept.at),
    lines: kept.lines.length,
    asked,
    number: line && number,
    line,
    now,
    // A game of the school's own is worded in itself.
    mayWord: worded !== undefined && !worded.words.own,
  };
}

export default function Proof({ loaderData }: Route.ComponentProps) {
  const { id, kit, target, made, lines, asked, number, line, now } = loaderData;
  const { name } = aboutLanguage(target);
  const fetcher = useFetcher<typeof wordIt>({ key: `proof ${id} ${number}` });
  return (
    <Wide>
      <Stack>
        <Heading
          title={`${kit} in ${name}, on paper`}
          action={
            <Row $gap="0.6rem">
              <ButtonLink href={`/word/proofs/${id}.pdf`}>Open the proof as PDF</ButtonLink>
              <ButtonLink quiet href="/word/proofs">
                All proofs
              </ButtonLink>
            </Row>
          }
        >
          {count(lines, 'line')}, as they stood on {made}. Type the number that stands beside a correction.
        </Heading>
        <Form method="get" key={`number ${number}`}>
          <Row>
            <NumberBox
              name="line"
              label="Number on the paper"
              min={1}
              max={lines}
              defaultValue={number ?? 1}
              autoFocus={!line}
            />
            <Button type="submit" quiet={line !== undefined}>
              Show this line
            </Button>
          </Row>
        </Form>
        {asked !== null && !line && (
          <Said kind="mind" live>
            This proof has the numbers 1 to {lines}.
          </Said>
        )}
        {line && !now && (
          <Said kind="mind" live>
            The game has no such line any more.
          </Said>
        )}
        {line && now && (
          <Typed key={`${number} ${now.message}`} {...loaderData} {...{ line, now, fetcher }} />
        )}
      </Stack>
    </Wide>
  );
}

/** Outlives the line that it saves: what was saved is said below the line as it then is. */
type Saves = ReturnType<typeof useFetcher<typeof wordIt>>;
type Loaded = Route.ComponentProps['loaderData'];
/** One line of the proof, to be typed as the paper says it. */
function Typed({
  line,
  now,
  number,
  lines,
  target,
  kitId,
  mayWord,
  id,
  fetcher,
}: Loaded & {
  fetcher: Saves;
  line: NonNullable<Loaded['line']>;
  now: NonNullable<Loaded['now']>;
}) {
  const [message, setMessage] = useState(now.message ?? '');
  const { name, direction } = aboutLanguage(target);
  const answer = fetcher.data;
  const saved = answer?.saved && message === now.message;
  const next = number! < lines ? number! + 1 : undefined;
  return (
    <Panel aria-label={`Line ${number}`}>
      <Stack $gap="0.7rem">
        <p lang="en">{read(now.english, 'en', line.args)}</p>
        {line.english !== now.english && (
          <Said kind="mind">
            The English has changed since this was printed. On the paper it is: {line.english}
          </Said>
        )}
        {line.message !== undefined && line.message !== now.message && (
          <Said kind="know">
            It was worded anew since this was printed. On the paper it is:{' '}
            <span lang={target} dir={direction}>
              {read(line.message, target, line.args)}
            </span>
          </Said>
        )}
        {answer?.errors[''] && <p role="alert">{answer.errors['']}</p>}
        {answer?.errors.message && <p role="alert">{answer.errors.message}</p>}
        {saved && (
          <Said kind="done" word="Saved" live>
            Sheets, labels and pages say it so from now on. It has to be checked anew.
          </Said>
        )}
        {mayWord ? (
          <>
            <Worder
              english={now.english}
              worded={now.message}
              message={message}
              onMessage={setMessage}
              target={target}
              args={line.args}
              label={`Line ${number} in ${name}`}
            />
            <Preview
              of={line.sourceId}
              id={line.messageId}
              english={now.english}
              target={target}
              message={message}
              was={now.message ?? ''}
              kitId={kitId}
            />
            <Row>
              <Button
                type="button"
                isPending={fetcher.state !== 'idle'}
                onPress={() =>
                  void fetcher.submit(
                    { message, had: answer?.now ?? now.message ?? '', inPlace: '1' },
                    { method: 'post', action: `/word/${line.sourceId}/${line.messageId}?language=${target}` },
                  )
                }
              >
                Save this line
              </Button>
              {next && <Link to={`/word/proofs/${id}?line=${next}`}>Number {next}</Link>}
            </Row>
          </>
        ) : (
          <Faint>A game of your own is worded where it is made.</Faint>
        )}
      </Stack>
    </Panel>
  );
}
