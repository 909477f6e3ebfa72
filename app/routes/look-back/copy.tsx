import { Link, redirect } from 'react-router';
import { dueWords, showDay } from '~/core/lending/due';
import { hasSmallParts } from '~/core/kits/recipe';
import { lackOf } from '~/core/kits/lacking';
import { capital, listed } from '~/core/words/numbers';
import { showTag } from '~/core/kits/tag';
import { labelSheets } from '~/core/pack/labels';
import { MARGIN_MM } from '~/core/paper/sheet';
import { homeOf } from '~/core/lending/school';
import { readingsAt } from '~/data/queries/wording';
import { catalogueNow } from '~/data/queries/materials';
import { findCopy, renewLinkKey } from '~/data/queries/copies';
import { listShortages } from '~/data/queries/counts';
import { strandOf } from '~/data/queries/strand';
import { byIntent } from '~/server/forms';
import { isId } from '~/server/ids';
import { familyLink, newLinkKey } from '~/server/links';
import { stateNow } from '~/server/kits/held';
import { requireProven, requireRole } from '~/server/people/session';
import { measure } from '~/server/print/fonts';
import { notFound } from '~/server/refusals';
import { today } from '~/server/today';
import { useCatalogue } from '~/app/ui/catalogue';
import { noteSecurity } from '~/server/people/security';
import { Button, ButtonLink } from '~/app/ui/Button';
import { Said } from '~/app/ui/Notices';
import { Form } from '~/app/ui/sending';
import { Entered, Entries, Heading, Margin, Row, Panel, Stack, State, Workplace } from '~/app/ui/Page';
import { SheetView } from '~/app/game/SheetView';
import { Strand } from '~/app/desk/Strand';
import { Verdict } from '~/app/desk/Verdict';
import { Tray } from '~/app/desk/Tray';
import type { Route } from './+types/copy';

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData ? showTag(loaderData.copy.tag) : 'Copy'} · Fern Basket` },
];

export async function loader({ request, params }: Route.LoaderArgs) {
  const { at, school, role } = await requireRole(request, 'coordinator', 'helper');
  const copy = isId(params.copyId) ? await findCopy(at, { id: params.copyId }) : undefined;
  if (!copy) throw notFound('This copy');
  const [strand, shortages, catalogue] = await Promise.all([
    strandOf(at, copy.id),
    listShortages(at, copy.id),
    catalogueNow(at),
  ]);
  const link = familyLink(request, copy.linkKey);
  const labels = labelSheets(
    [
      {
        kitName: copy.kitName,
        schoolName: school.name,
        tag: copy.tag,
        link,
        parts: copy.parts,
        names: catalogue.words,
        smallParts: hasSmallParts(copy.parts, catalogue),
      },
    ],
    {},
    {
      paper: school.paper,
      readings: await readingsAt(at, [...new Set([homeOf(school.languages), 'en'])]),
      seed: 1,
      measure,
      finish: 'plain',
      cuts: 'shared',
      fill: false,
    },
  );
  const { plan: _, linkKey: __, ...shown } = copy;
  return {
    copy: { ...shown, printedAt: undefined, printed: copy.printedAt !== null },
    link,
    coordinates: role === 'coordinator',
    square: new URL(request.url).searchParams.has('square'),
    // As much of each sheet as has labels on it.
    labels: labels.map((sheet) => ({
      ...sheet,
      heightMm: Math.max(...sheet.pieces!.map(({ y, h }) => y + h)) + MARGIN_MM,
    })),
    strand,
    shortages,
    verdict: shortages.length && !copy.moved ? (await stateNow(at, copy)).verdict : undefined,
    games: copy.plan.variants.map(({ name }) => name),
    today: today(at),
  };
}

/** The square of its label is made anew: the one that somebody may have kept opens nothing any more. */
export async function action({ request, params }: Route.ActionArgs) {
  const { at, id } = await requireProven(request, 'coordinator');
  const { copyId } = params;
  return byIntent(await request.formData(), {
    square: async () => {
      if (!isId(copyId) || !(await renewLinkKey(at, copyId, newLinkKey()))) throw notFound('This copy');
      await noteSecurity(at, 'keyMade', id);
      throw redirect(`/copies/${copyId}?square=new`);
    },
  });
}

export default function CopyPage({ loaderData }: Route.ComponentProps) {
  const catalogue = useCatalogue();
  const { copy, link, coordinates, square, labels, strand, shortages, verdict, games, today } = loaderData;
  const lent = strand.filter((event) => event.kind === 'lent').length;
  return (
    <Workplace>
      <Stack>
        <Heading
          title={`Copy ${showTag(copy.tag)}`}
          action={
            !copy.moved && (
              <ButtonLink
                href={
                  copy.readyAt === null
                    ? `/fill/runs/${copy.makingId}`
                    : copy.loan
                      ? `/take-back/${copy.loan.id}`
                      : `/lend?copy=${copy.tag}`
                }
              >
                {copy.readyAt === null
                  ? 'Go on making this copy'
                  : copy.loan
                    ? 'Take this copy back'
                    : 'Lend this copy'}
              </ButtonLink>
            )
          }
        >
          <Link to={`/fill/${copy.kitId}`}>{copy.kitName}</Link>,{' '}
          {copy.moved
            ? 'at another school now'
            : copy.loan
              ? `with ${copy.loan.familyName}, ${dueWords(copy.loan.dueOn, today)}`
              : copy.readyAt === null
                ? 'being made'
                : 'at school'}
          .
        </Heading>
        <Panel aria-label="Life">
          <Strand points={strand} />
        </Panel>
        {verdict && <Verdict verdict={verdict} names={games} />}
        <Tray parts={copy.parts} />
        <Panel aria-labelledby="labels">
          <Stack $gap="0.8rem">
            <h2 id="labels">Labels</h2>
            {labels.map((sheet, i) => (
              <SheetView key={i} sheet={sheet} label={`Labels of ${showTag(copy.tag)}, sheet ${i + 1}`} />
            ))}
            {square && (
              <Said kind="done" word="A new square" live>
                The old label opens nothing any more. Print the pack, or its labels alone, and put the new one
                on the bag; until then it goes out to nobody.
              </Said>
            )}
            <Row>
              {coordinates && !copy.moved && (
                <Form method="post">
                  <Button type="submit" quiet name="intent" value="square">
                    Make a new square for this label
                  </Button>
                </Form>
              )}
              {!copy.moved && (
                <ButtonLink quiet href={`/print?copy=${copy.id}`}>
                  Print its pack
                </ButtonLink>
              )}
              <a href={link} target="_blank" rel="noreferrer">
                Open the family page
              </a>
            </Row>
          </Stack>
        </Panel>
      </Stack>
      <Margin label="Reckonings">
        <Entries>
          <Entered
            label="Lent so far"
            number={String(lent)}
            unit={lent === 1 ? 'time' : 'times'}
            reason={`Built on ${showDay(copy.builtOn)}.`}
          />
          <Entered
            label="Missing now"
            number={String(
              shortages.reduce(
                (total, one) => total + Math.max(one.expected - one.counted, one.lacks?.length ?? 0),
                0,
              ),
            )}
            unit="parts"
            reason={
              shortages.length
                ? `${capital(listed(shortages.map((one) => lackOf(one, catalogue))))}.`
                : 'Complete, as far as it was counted.'
            }
          />
        </Entries>
        {!copy.printed && !copy.moved && <State tone="wait">pack not printed</State>}
      </Margin>
    </Workplace>
  );
}
