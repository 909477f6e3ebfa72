import { Link, data, useSearchParams } from 'react-router';
import { VIEWS, MEASURES, type View, type Measure } from '~/core/looking/reached';
import { aboutLanguage } from '~/core/words/languages';
import { count } from '~/core/words/numbers';
import { listShortages, mend, undoMend } from '~/data/queries/counts';
import { freeNow } from '~/data/queries/store';
import { byIntent } from '~/server/forms';
import { isId } from '~/server/ids';
import { periodOf, reachedIn } from '~/server/looking/figures';
import { copiesOf } from '~/server/once';
import { requireRole } from '~/server/people/session';
import { LookWays, PeriodBar, tableFile } from '~/app/desk/LookWays';
import { ShareFigure } from '~/app/desk/ShareFigure';
import { Said } from '~/app/ui/Notices';
import { Empty, Entered, Entries, Faint, Heading, Margin, Panel, Row, Stack, Workplace } from '~/app/ui/Page';
import { firstOf, Table } from '~/app/ui/Table';
import { Mending, SIZE, type Mended } from './Mending';
import type { Route } from './+types/overview';

export const meta: Route.MetaFunction = () => [{ title: 'Look back · Fern Basket' }];

/** So many families that had nothing are named. */
const MOST_NAMED = 15;

export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator');
  const search = new URL(request.url).searchParams;
  const first = firstOf(search, SIZE);
  const asked = search.get('by') ?? '';
  const by: View = Object.hasOwn(VIEWS, asked) ? (asked as View) : 'language';
  const { period, offered } = await periodOf(at, search);
  const [reach, shortages, now, onHand] = await Promise.all([
    reachedIn(at, period),
    listShortages(at, undefined, { first, most: SIZE }),
    copiesOf(at),
    freeNow(at),
  ]);
  /** What the store has to put into each copy, whole or not at all. */
  const inStore = (copyId: string): boolean =>
    shortages
      .filter((one) => one.copyId === copyId)
      .every(({ material, expected, counted, lacks }) => {
        const there = onHand[material];
        return typeof there === 'number' && there >= Math.max(expected - counted, lacks?.length ? 1 : 0);
      });
  const { by: all, nothing, ...reached } = reach;
  return {
    period,
    offered,
    by,
    shown: all[by],
    reached,
    nothing: nothing.slice(0, MOST_NAMED),
    unreached: nothing.length,
    shortages: shortages.map((one) => ({ ...one, inStore: inStore(one.copyId) })),
    first,
    short: now.short,
  };
}

export async function action({ request }: Route.ActionArgs) {
  const { at, id } = await requireRole(request, 'coordinator');
  const form = await request.formData();
  const copyId = form.get('copy');
  if (!isId(copyId)) return data<Mended>({ said: 'nothing', copyId: '' }, { status: 400 });
  return byIntent(form, {
    undo: async () => {
      const undone = await undoMend(at, copyId, id);
      return data<Mended>({ said: undone ? 'undone' : 'tooLate', copyId }, { status: undone ? 200 : 409 });
    },
    store: async () => {
      const mended = await mend(at, copyId, id, true);
      const said = mended === undefined ? 'storeLacks' : mended ? 'mended' : 'nothing';
      return data<Mended>({ said, copyId }, { status: mended === undefined ? 409 : 200 });
    },
    '': async () => data<Mended>({ said: (await mend(at, copyId, id)) ? 'mended' : 'nothing', copyId }),
  });
}
const INTERVAL = 'The line is the interval that holds the share with 95 in 100 (Wilson)';
/** How the shares of a view are reckoned. */
function howOf(by: View, measure: Measure): string {
  if (by === 'month')
    return {
      reached: `Of the families that were known by the end of the month. ${INTERVAL}. The first and the last month may be partly outside the period.`,
      answered: 'Of the families that had a bag in the month. What is still at home may be answered yet.',
      again: 'Of the families that had a bag in the month: those that had another one in this period before.',
    }[measure];
  return measure === 'reached'
    ? `${INTERVAL}; a difference is spoken of only where its interval leaves out zero (Newcombe).${by === 'grade' ? ' A family counts in the grade of each of its children.' : ''}`
    : 'Of the families that had a bag.';
}

export default function Overview({ loaderData, actionData }: Route.ComponentProps) {
  const { period, offered, by, shown, reached, nothing, unreached, shortages, first, short } = loaderData;
  const [search] = useSearchParams();
  const of = (dimension: View): string => {
    const next = new URLSearchParams(search);
    next.set('by', dimension);
    return `?${next}`;
  };
  const { closing } = shown.reached;
  return (
    <Workplace>
      <Stack>
        <LookWays />
        <Heading title="Look back">Who was reached, who was not, and what would change it?</Heading>
        <PeriodBar period={period} offered={offered} />
        {reached.families === 0 ? (
          <Empty title="No family yet">Add families at the lending desk first.</Empty>
        ) : (
          <>
            <Row $gap="1.2rem">
              {(Object.keys(VIEWS) as View[]).map((dimension) => (
                <Link key={dimension} to={of(dimension)} aria-current={dimension === by ? 'true' : undefined}>
                  {dimension === by ? <strong>{VIEWS[dimension]}</strong> : VIEWS[dimension]}
                </Link>
              ))}
            </Row>
            {closing.length > 0 && (
              <Said kind="mind" word="What would close it">
                {closing.join('; ')}.
              </Said>
            )}
            {(Object.keys(MEASURES) as Measure[]).map((measure) => (
              <ShareFigure
                key={measure}
                id={measure}
                title={`Families that ${MEASURES[measure].title}, ${VIEWS[by]}`}
                sentence={shown[measure].sentence}
                csv={tableFile(`reached-${by}`, period)}
                shares={shown[measure].shares}
                how={howOf(by, measure)}
              />
            ))}
            <Panel aria-labelledby="nothing">
              <Stack $gap="0.6rem">
                <h2 id="nothing">Who has had nothing, and for how long</h2>
                {nothing.length === 0 ? (
                  <p>Every family had a bag in this period.</p>
                ) : (
                  <>
                    <Table
                      label="Families without a bag"
                      rows={nothing}
                      rowKey={({ id }) => id}
                      columns={[
                        {
                          head: 'Family',
                          cell: ({ id, name }) => <Link to={`/lend/families/${id}`}>{name}</Link>,
                        },
                        { head: 'Language', cell: ({ language }) => aboutLanguage(language).name },
                        {
                          head: 'Last bag',
                          cell: ({ weeks, here }) =>
                            weeks === null
                              ? `never, and here for ${count(here, 'week')}`
                              : `${count(weeks, 'week')} ago`,
                        },
                      ]}
                    />
                    {unreached > nothing.length && <Faint>and {unreached - nothing.length} more</Faint>}
                  </>
                )}
              </Stack>
            </Panel>
          </>
        )}
        <Mending shortages={shortages} first={first} short={short} said={actionData ?? undefined} />
      </Stack>
      <Margin label="Reckonings">
        <Entries>
          <Entered
            label="Families reached"
            number={`${reached.lent} of ${reached.families}`}
            reason={`They had at least one bag in this period; ${count(reached.loans, 'loan')} in all. Families that joined later are not counted.`}
          />
          <Entered
            label="Answered"
            number={`${reached.answered} of ${reached.loans}`}
            unit={reached.loans === 1 ? 'loan' : 'loans'}
            reason="Loans of the period about which a family told something, on the page, on paper, by text or by phone."
          />
          <Entered
            label="Missing in these figures"
            number={String(reached.forgotten)}
            unit={reached.forgotten === 1 ? 'loan' : 'loans'}
            reason="Of families that asked to be forgotten. Families count as they are today: their language and class of then are not kept."
          />
          <Entered
            label="Lacking parts now"
            number={String(short)}
            unit={short === 1 ? 'copy' : 'copies'}
            reason="Counted at the last return. A copy that lacks parts is not offered as ready."
          />
        </Entries>
      </Margin>
    </Workplace>
  );
}
