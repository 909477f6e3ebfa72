import { data, Form, Link, redirect, useNavigation, useSubmit } from 'react-router';
import styled from 'styled-components';
import { showTag } from '~/core/lending/tag';
import { PACK_ITEMS, type PackItem } from '~/core/print/pack';
import { PAPERS, type Sheet as PrintSheet } from '~/core/print/sheet';
import { LANGUAGES, WORDED } from '~/core/words/message';
import { count } from '~/core/words/numbers';
import { listCopies, markPrinted } from '~/data/queries/kits';
import { findSchool } from '~/data/queries/people';
import { isId } from '~/server/ids';
import { familyLink, isLoopback } from '~/server/links';
import { requireRole } from '~/server/people/session';
import { orderSheets, readOrder, uncheckedIn } from '~/server/print/order';
import { Button, ButtonLink } from '~/app/ui/Button';
import { Choice, TickBox } from '~/app/ui/fields';
import { Said } from '~/app/ui/Notices';
import { Empty, Entered, Entries, Faint, Heading, Margin, Row, Sheet, Stack, Workplace } from '~/app/ui/Page';
import { SheetView } from '~/app/ui/SheetView';
import type { Route } from './+types/pack';

export const meta: Route.MetaFunction = () => [{ title: 'Print · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  await requireRole(request, 'coordinator', 'helper');
  const search = new URL(request.url).searchParams;
  const school = (await findSchool())!;
  const order = await readOrder(search, school);
  const every = await listCopies();
  const [first, ...rest] = order.copies;
  const forFirst = first
    ? await orderSheets(request, { ...order, copies: [first], twoSided: false }, school)
    : [];
  const all = await orderSheets(request, order, school);
  return {
    copies: order.copies.map(({ id, tag, kitName }) => ({ id, tag, kitName })),
    // What can be chosen: the copies asked for, and all that are not printed yet.
    choosable: every
      .filter((copy) => copy.printedAt === null || order.copies.some((one) => one.id === copy.id))
      .map(({ id, tag, kitName, printedAt }) => ({ id, tag, kitName, printed: printedAt !== null })),
    others: rest.length,
    items: order.items,
    paper: order.paper,
    home: order.home,
    twoSided: order.twoSided,
    pages: all.length,
    preview: forFirst,
    unchecked: await uncheckedIn(order),
    link: first ? familyLink(request, first.linkKey) : undefined,
    loopback: first ? isLoopback(familyLink(request, first.linkKey)) : false,
    query: search.toString(),
    marked: search.has('marked'),
  };
}

export async function action({ request }: Route.ActionArgs) {
  await requireRole(request, 'coordinator', 'helper');
  const form = await request.formData();
  const ids = form.getAll('copy').filter(isId);
  if (ids.length === 0) return data({ problem: 'Choose at least one copy.' }, { status: 400 });
  await markPrinted(ids);
  throw redirect(`/print?marked=1`);
}

const Pages = styled.ol`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
  gap: 1.4rem;
  figure {
    margin: 0;
  }
  figcaption {
    margin-top: 0.35rem;
    color: #5a665f;
  }
`;

export default function Pack({ loaderData, actionData }: Route.ComponentProps) {
  const {
    copies,
    choosable,
    items,
    paper,
    home,
    twoSided,
    pages,
    preview,
    query,
    unchecked,
    link,
    loopback,
    marked,
  } = loaderData;
  const submit = useSubmit();
  const busy = useNavigation().state !== 'idle';
  if (choosable.length === 0) {
    return (
      <Workplace>
        <Stack>
          <Heading title="Print a pack" />
          {marked && <Printed />}
          <Empty
            title="Every pack is printed"
            action={<ButtonLink href="/fill">Choose a kit to build</ButtonLink>}
          >
            New copies wait here until their pack is printed. To print one again, open its copy.
          </Empty>
        </Stack>
      </Workplace>
    );
  }
  const many = copies.length === 1 ? 'the pack' : `${copies.length} packs`;
  return (
    <Workplace>
      <Stack>
        <Heading title="Print a pack">
          Look at every page before it is printed. Each copy has labels and a QR code of its own.
        </Heading>
        {marked && <Printed />}
        {actionData?.problem && <Said kind="mind">{actionData.problem}</Said>}
        <Sheet aria-label="What to print">
          <Form
            method="get"
            onChange={(event) =>
              void submit(event.currentTarget, { replace: true, preventScrollReset: true })
            }
            key={query}
          >
            <Stack>
              <fieldset style={{ border: 0, margin: 0, padding: 0 }}>
                <legend style={{ fontWeight: 700, padding: 0 }}>Copies</legend>
                <Row $gap="0.2rem 1.4rem">
                  {choosable.map((copy) => (
                    <TickBox
                      key={copy.id}
                      name="copy"
                      value={copy.id}
                      defaultSelected={copies.some((one) => one.id === copy.id)}
                    >
                      {showTag(copy.tag)}{' '}
                      <Faint as="span">
                        {copy.kitName}
                        {copy.printed ? ', printed before' : ''}
                      </Faint>
                    </TickBox>
                  ))}
                </Row>
              </fieldset>
              <fieldset style={{ border: 0, margin: 0, padding: 0 }}>
                <legend style={{ fontWeight: 700, padding: 0 }}>Pages</legend>
                <Row $gap="0.2rem 1.4rem">
                  {(Object.keys(PACK_ITEMS) as PackItem[]).map((item) => (
                    <TickBox key={item} name="item" value={item} defaultSelected={items.includes(item)}>
                      {PACK_ITEMS[item]}
                    </TickBox>
                  ))}
                </Row>
              </fieldset>
              <Row $gap="1.6rem">
                <Choice
                  name="home"
                  label="Home language"
                  defaultValue={home}
                  options={WORDED.map((language) => ({ value: language, label: LANGUAGES[language].name }))}
                />
                <Choice
                  name="paper"
                  label="Paper"
                  defaultValue={paper}
                  options={Object.entries(PAPERS).map(([value, { name }]) => ({ value, label: name }))}
                />
                <Choice
                  name="sides"
                  label="Printer"
                  defaultValue={twoSided ? 'two' : 'one'}
                  options={[
                    { value: 'two', label: 'Both sides' },
                    { value: 'one', label: 'One side' },
                  ]}
                />
              </Row>
              <noscript>
                <button type="submit">Show these pages</button>
              </noscript>
            </Stack>
          </Form>
        </Sheet>
        <Pages aria-label={copies[0] ? `Pages of ${showTag(copies[0].tag)}` : 'Pages'}>
          {preview.map((sheet: PrintSheet, i: number) => (
            <li key={i}>
              <figure>
                <SheetView sheet={sheet} label={`Page ${i + 1}: ${sheet.title}`} />
                <figcaption>
                  {i + 1}. {sheet.title}
                  {sheet.back && ' (back of the page before)'}
                </figcaption>
              </figure>
            </li>
          ))}
        </Pages>
      </Stack>
      <Stack>
        <Margin label="Reckonings">
          <Entries>
            <Entered
              label="Pages"
              number={String(pages)}
              unit={`for ${count(copies.length, 'copy', 'copies')}`}
              reason={
                twoSided
                  ? 'Every document begins on a fresh sheet; empty backs are counted.'
                  : 'Feed the page of counters again for its back.'
              }
            />
            <Entered
              label="Sheets of paper"
              number={String(
                twoSided
                  ? Math.ceil(pages / 2)
                  : pages - preview.filter((sheet: PrintSheet) => sheet.back).length * copies.length,
              )}
              unit={PAPERS[paper].name}
              reason={
                twoSided
                  ? 'Printed on both sides, flipped on the long edge.'
                  : 'Printed on one side, but for the counters.'
              }
            />
          </Entries>
        </Margin>
        {copies.length > 0 && (
          <Stack $gap="0.6rem">
            <ButtonLink href={`/print/pack.pdf?${query}`} target="_blank">
              Open {many} as PDF
            </ButtonLink>
            <Form method="post">
              {copies.map((copy) => (
                <input key={copy.id} type="hidden" name="copy" value={copy.id} />
              ))}
              <Button type="submit" quiet isPending={busy}>
                {copies.length === 1 ? 'It is printed' : 'They are printed'}
              </Button>
            </Form>
            <Faint>Print at 100 percent (“actual size”), or circles and labels will not be to scale.</Faint>
          </Stack>
        )}
        {unchecked.length > 0 && (
          <Said kind="mind">
            The {LANGUAGES[home].name} of {unchecked.join(', ')} is not yet checked by a fluent reader; the
            sheets say so at their foot. <Link to="/word">Words desk</Link>
          </Said>
        )}
        {loopback && (
          <Said kind="mind">
            The QR codes open {link && new URL(link).origin}, which only this machine can reach. Set
            PUBLIC_URL to the address that phones use before you print for families.
          </Said>
        )}
        <Said kind="know" word="Take care">
          Laminators are hot and blades are sharp: follow your school’s rules, and keep both away from
          children.
        </Said>
      </Stack>
    </Workplace>
  );
}

const Printed = () => (
  <Said kind="done" live>
    These packs count as printed; their copies are ready to be lent.
  </Said>
);
