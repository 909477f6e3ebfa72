import { useRef, type FormEvent } from 'react';
import { data, Link, redirect, useNavigation } from 'react-router';
import { Form, useSubmit } from '~/app/ui/sending';
import { showTag } from '~/core/kits/tag';
import { aboutLanguage } from '~/core/words/languages';
import { count } from '~/core/words/numbers';
import { copyList, markPrinted } from '~/data/queries/copies';
import { schoolMark, schoolPrinting, schoolVersions, setSchoolMark } from '~/data/queries/schools';
import { isId } from '~/server/ids';
import { familyLink, isLoopback } from '~/server/links';
import { copiesOf } from '~/server/once';
import { requireRole } from '~/server/people/session';
import { startJob } from '~/server/print/jobs';
import { warmUp } from '~/server/threads';
import { byIntent, versionIn } from '~/server/forms';
import { readFile } from '~/server/outside';
import {
  languageOf,
  loansIn,
  lostPieces,
  missingIn,
  previewOf,
  readOrder,
  taskOf,
  uncheckedIn,
  MOST_COPIES_AT_ONCE,
} from '~/server/print/order';
import { Button, ButtonLink } from '~/app/ui/Button';
import { Said } from '~/app/ui/Notices';
import { Empty, Faint, Heading, Row, Panel, Stack, Workplace } from '~/app/ui/Page';
import { PackChoices } from './PackChoices';
import { PackPages } from './PackPages';
import { SchoolMark } from './SchoolMark';
import { PackReckonings } from './PackReckonings';
import type { Route } from './+types/pack';

export const meta: Route.MetaFunction = () => [{ title: 'Print · Fern Basket' }];

const TYPING_MS = 500;
export async function loader({ request }: Route.LoaderArgs) {
  const person = await requireRole(request, 'coordinator', 'helper');
  const { at, school } = person;
  warmUp();
  const search = new URL(request.url).searchParams;
  const [order, unprinted, now, printing, mark, versions] = await Promise.all([
    readOrder(at, search, school),
    copyList(at, { unprinted: true }, MOST_COPIES_AT_ONCE),
    copiesOf(at),
    schoolPrinting(at),
    schoolMark(at),
    schoolVersions(at),
  ]);
  const [first] = order.copies;
  const [task, unchecked] = await Promise.all([taskOf(at, request, order, school), uncheckedIn(at, order)]);
  const loans = loansIn(search);
  const waits = order.scope === 'lost' && !order.lost;
  const [preview, pieces] = await Promise.all([
    waits || Object.keys(order.errors).length ? undefined : previewOf(task, loans, printing),
    order.scope === 'lost' ? lostPieces(task) : [],
  ]);
  return {
    copies: order.copies.map(({ id, tag, kitName }) => ({ id, tag, kitName })),
    // What can be chosen: the copies asked for, and all that are not printed yet.
    choosable: [...new Map([...order.copies, ...unprinted].map((copy) => [copy.id, copy])).values()].map(
      ({ id, tag, kitName, printedAt }) => ({ id, tag, kitName, printed: printedAt !== null }),
    ),
    more: now.unprinted - unprinted.length,
    choices: {
      items: order.items,
      paper: order.paper,
      home: order.home,
      languages: [...new Set([...school.languages, order.home])],
      twoSided: order.twoSided,
      finish: order.finish,
      cuts: order.cuts,
      fill: order.fill,
      scope: order.scope,
      lost: order.lost,
      stock: order.stock,
      labels: order.labels,
      loans,
    },
    errors: order.errors,
    pieces,
    pages: (preview?.pages ?? []).map(({ title, back, widthMm, heightMm }) => ({
      title,
      back: Boolean(back),
      widthMm,
      heightMm,
    })),
    work: preview?.pages.length ? { each: preview.each, all: preview.all, printing } : undefined,
    pricesAt: person.role === 'coordinator' ? `/print/prices?${search}` : undefined,
    problem:
      preview?.problem ??
      (order.lost && preview?.pages.length === 0
        ? 'This piece belongs to none of the chosen kits. Choose another one.'
        : undefined),
    unchecked,
    // Copies of a build run are meant for a language of their own.
    elsewhere: languageOf(search)
      ? order.copies.flatMap(({ tag, language, printedAt }) =>
          language && printedAt === null && language !== order.home ? [{ tag, language }] : [],
        )
      : [],
    missing: await missingIn(at, order),
    marked: mark !== null,
    markVersion: versions.mark,
    link: first ? familyLink(request, first.linkKey) : undefined,
    loopback: first ? isLoopback(familyLink(request, first.linkKey)) : false,
    query: search.toString(),
    justPrinted: search.has('marked'),
  };
}

export async function action({ request }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator', 'helper');
  const { at, school } = person;
  const form = await request.formData();
  const refuse = (problem: string) => data<{ problem?: string }>({ problem }, { status: 400 });
  const setMark = async (mark: string | null) => {
    if (await setSchoolMark(at, mark, versionIn(form) ?? 0, person.id)) return data<{ problem?: string }>({});
    return refuse('Somebody else changed the picture meanwhile. Look at it once more, then choose again.');
  };
  return byIntent(form, {
    draw: async () => {
      const search = new URL(request.url).searchParams;
      search.delete('index');
      const order = await readOrder(at, search, school);
      if (order.copies.length === 0) return refuse('Choose at least one copy.');
      if (Object.keys(order.errors).length) return refuse('Look at the measures of the label sheet first.');
      const task = await taskOf(at, request, order, school);
      // What cannot be printed is said here, before anything is drawn.
      const { problem } = await previewOf(task, loansIn(search), await schoolPrinting(at));
      if (problem) return refuse(problem);
      // The job keeps the very copies, also when others are built meanwhile.
      search.delete('copy');
      search.delete('run');
      for (const { id } of order.copies) search.append('copy', id);
      throw redirect(`/print/jobs/${await startJob(at, task, search.toString(), person.id)}`);
    },
    mark: async () => {
      const file = form.get('picture');
      const mark = await readFile(
        'mark',
        file instanceof File ? new Uint8Array(await file.arrayBuffer()) : new Uint8Array(),
      );
      return mark.ok ? setMark(mark.data) : refuse(mark.problem);
    },
    noMark: () => setMark(null),
    '': async () => {
      const ids = form.getAll('copy').filter(isId);
      if (ids.length === 0) return refuse('Choose at least one copy.');
      await markPrinted(at, ids, languageOf(new URL(request.url).searchParams));
      throw redirect(`/print?marked=1`);
    },
  });
}

export default function Pack({ loaderData, actionData }: Route.ComponentProps) {
  const {
    copies,
    choosable,
    choices,
    pages,
    query,
    unchecked,
    missing,
    elsewhere,
    link,
    loopback,
    marked,
    justPrinted,
    problem,
  } = loaderData;
  const submit = useSubmit();
  const form = useRef<HTMLFormElement>(null);
  const later = useRef<ReturnType<typeof setTimeout>>(undefined);
  /** Shows the pages of what is chosen: a pressed choice at once, a typed number when the typing rests. */
  const changed = (afterMs: number): void => {
    clearTimeout(later.current);
    later.current = setTimeout(
      () => void submit(form.current, { replace: true, preventScrollReset: true }),
      afterMs,
    );
  };
  const navigation = useNavigation();
  const busy = navigation.state !== 'idle';
  // Pages that are still being laid out keep nobody from drawing: what is chosen is drawn, seen or not.
  const sending = busy && navigation.formMethod === 'POST';
  const draw = (event: FormEvent): void => {
    if (!form.current) return;
    event.preventDefault();
    clearTimeout(later.current);
    const chosen = new URLSearchParams();
    for (const [name, value] of new FormData(form.current))
      if (typeof value === 'string') chosen.append(name, value);
    void submit({ intent: 'draw' }, { method: 'post', action: `/print?index&${chosen}` });
  };
  if (choosable.length === 0) {
    return (
      <Workplace>
        <Stack>
          <Heading title="Print a pack" />
          {justPrinted && <Printed />}
          <Empty
            title="Every pack is printed"
            action={<ButtonLink href="/fill">Choose a kit to build</ButtonLink>}
          >
            New copies wait here until their pack is printed. To print one again, or a piece that was lost,
            open its copy.
          </Empty>
          <Row>
            <Calibration paper={choices.paper} home={choices.home} />
          </Row>
        </Stack>
      </Workplace>
    );
  }
  const many = copies.length === 1 ? 'the pack' : `${copies.length} packs`;
  const home = aboutLanguage(choices.home).name;
  const ready = copies.length > 0 && pages.length > 0;
  return (
    <Workplace>
      <Stack>
        <Heading title="Print a pack">
          Look at every page before it is printed. Each copy has labels and a QR code of its own.
        </Heading>
        {justPrinted && <Printed />}
        {(problem || actionData?.problem) && (
          <Said kind="stop" word="This cannot be printed" live>
            {problem ?? actionData?.problem}
          </Said>
        )}
        <Panel aria-label="What to print">
          <Form
            method="get"
            ref={form}
            onChange={(event) =>
              changed((event.target as HTMLElement).getAttribute('type') === 'text' ? TYPING_MS : 0)
            }
          >
            <PackChoices
              choosable={choosable}
              more={loaderData.more}
              chosen={copies.map(({ id }) => id)}
              choices={choices}
              pieces={loaderData.pieces}
              errors={loaderData.errors}
              onChange={() => changed(0)}
            />
          </Form>
        </Panel>
        <PackPages
          label={copies[0] ? `Pages of ${showTag(copies[0].tag)}` : 'Pages'}
          pages={pages}
          query={query}
        />
      </Stack>
      <Stack>
        {loaderData.work && (
          <PackReckonings
            {...loaderData.work}
            copies={choices.scope === 'each' ? copies.length : 1}
            twoSided={choices.twoSided}
            finish={choices.finish}
            paper={choices.paper}
            loans={choices.loans}
            pricesAt={loaderData.pricesAt}
          />
        )}
        {ready && (
          <Stack $gap="0.6rem">
            <Form method="post" onSubmit={draw}>
              <Button type="submit" name="intent" value="draw" isPending={sending}>
                {choices.scope === 'each' ? `Draw ${many} as PDF` : 'Draw these pages as PDF'}
                {unchecked.length > 0 && ', marked as not checked'}
              </Button>
            </Form>
            {choices.scope === 'each' && (
              <Form method="post">
                {copies.map((copy) => (
                  <input key={copy.id} type="hidden" name="copy" value={copy.id} />
                ))}
                <Button type="submit" quiet isPending={busy}>
                  {copies.length === 1 ? 'It is printed' : 'They are printed'}
                </Button>
              </Form>
            )}
            <Faint>
              Print at 100 percent (“actual size”), or circles and labels will not be to scale. Is it the
              first time on this printer? Print the calibration page.
            </Faint>
          </Stack>
        )}
        {elsewhere.length > 0 && (
          <Said kind="mind" word="Meant for another language">
            {elsewhere
              .map(({ tag, language }) => `${showTag(tag)}: ${aboutLanguage(language).name}`)
              .join(', ')}
            . Choose that language for them, or print them so on purpose.
          </Said>
        )}
        {missing.length > 0 && (
          <Said kind="mind" word="In English">
            There is no {home} wording yet for{' '}
            {missing.map(({ game, lines }) => `${count(lines, 'line')} of ${game}`).join(', ')}.
            {missing.length === 1 && missing[0]!.lines === 1 ? ' It is' : ' They are'} printed in English and
            marked EN. <Link to="/word">Words desk</Link>
          </Said>
        )}
        {unchecked.length > 0 && (
          <Said kind="mind">
            The {home} of {unchecked.join(', ')} is not yet checked by a fluent reader; the sheets say so at
            their foot. <Link to="/word">Words desk</Link>
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
        <SchoolMark there={marked} version={loaderData.markVersion} />
        <Row>
          <Calibration paper={choices.paper} home={choices.home} />
        </Row>
      </Stack>
    </Workplace>
  );
}

const Printed = () => (
  <Said kind="done" live>
    These packs count as printed; their copies are ready to be lent.
  </Said>
);

/** The page that shows whether a printer prints to scale. */
const Calibration = ({ paper, home }: { paper: string; home: string }) => (
  <ButtonLink href={`/print/calibration.pdf?paper=${paper}&home=${home}`} target="_blank" quiet>
    Open the calibration page alone
  </ButtonLink>
);
