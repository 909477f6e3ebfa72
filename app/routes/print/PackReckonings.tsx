import { Link } from 'react-router';
import { SUPPLIES, SUPPLY_IDS, type PrintCost, type Printing, type Work } from '~/core/pack/cost';
import { PAPERS, type Finish, type Paper } from '~/core/paper/sheet';
import { count, listed, money, plain } from '~/core/words/numbers';
import { Entered, Entries, Faint, Margin } from '~/app/ui/Page';

const minutes = (n: number): string => (n >= 120 ? `${plain(n / 60)} hours` : count(n, 'minute'));

/** What printing takes, for one copy and for all, and whether it pays to laminate. */
export const PackReckonings = ({
  each: kinds,
  all,
  copies,
  twoSided,
  finish,
  paper,
  loans,
  printing,
  pricesAt,
}: {
  /** One copy, kit by kit. */
  each: readonly { kits: readonly string[]; work: Work; cost?: PrintCost }[];
  all: Work;
  copies: number;
  twoSided: boolean;
  finish: Finish;
  paper: Paper;
  loans: number;
  printing: Printing;
  /** Where prices and times are changed, for who may. */
  pricesAt?: string | undefined;
}) => {
  const each = (of: (work: Work) => string): string | undefined =>
    copies <= 1
      ? undefined
      : new Set(kinds.map(({ work }) => of(work))).size === 1
        ? `${of(kinds[0]!.work)} for one copy.`
        : `For one copy ${kinds.map(({ kits, work }) => `${of(work)} (${listed(kits)})`).join(', ')}.`;
  /** What a loan costs, where one copy costs as much as the other; else kit by kit. */
  const loan = kinds.flatMap(({ kits, cost }) => (cost ? [{ kits, cost }] : []));
  return (
    <Margin label="Reckonings">
      <Entries>
        <Entered
          label="Pages"
          number={plain(all.pages)}
          unit={copies > 1 ? `for ${copies} copies` : ''}
          reason={each((work) => count(work.pages, 'page'))}
        />
        <Entered
          label="Sheets of paper"
          number={plain(all.sheets)}
          unit={PAPERS[paper].name}
          reason={
            twoSided
              ? 'Printed on both sides, flipped on the long edge; what is cut out has nothing behind it.'
              : 'Printed on one side; pages with a back are fed again.'
          }
        />
        {all.pouches > 0 && (
          <Entered
            label="Pouches"
            number={plain(all.pouches)}
            reason="For everything but labels and slips."
          />
        )}
        <Entered
          label="Cuts"
          number={plain(all.cuts)}
          reason="Straight cuts across a sheet count once; outlines one by one."
        />
        <Entered
          label="Work"
          number={minutes(all.minutes)}
          reason={`${each((work) => minutes(work.minutes)) ?? ''} To print, laminate, cut and bag; counting parts and the check come on top in a build run. Reckoned with ${printing.cutSeconds} seconds a cut, ${printing.outlineSeconds} an outline, ${printing.pouchSeconds} a pouch, ${printing.bagSeconds} a bag.`}
        />
        <Entered
          label={finish === 'durable' ? 'Cost, durable' : 'Cost, plain'}
          number={money(all.costCents)}
          reason={each((work) => money(work.costCents))}
        />
        {loan.map(({ kits, cost }) => (
          <Entered
            key={kits.join()}
            label={`Paper of one loan${loan.length > 1 ? ` of ${listed(kits)}` : ''}, if it goes out ${loans === 1 ? 'once' : `${loans} times`}`}
            number={money(cost.durableCents)}
            unit={`durable, ${money(cost.plainCents)} plain`}
            reason={
              cost.paysFrom === undefined
                ? `Durable never pays here: it is made anew after ${count(printing.durableLoans, 'loan')}.`
                : `Durable is no dearer from ${count(cost.paysFrom, 'loan')} on; a marker and a cloth are in it.`
            }
          />
        ))}
      </Entries>
      <details>
        <summary>Prices these are reckoned with</summary>
        <ul>
          {SUPPLY_IDS.map((supply) => {
            const size = printing[`${supply}Size`];
            return (
              <li key={supply}>
                {SUPPLIES[supply].name}: {money(printing[`${supply}Cents`])}
                {size > 1 ? ` for ${size}` : ''}
              </li>
            );
          })}
        </ul>
        <Faint>Your own work is not counted as money.</Faint>
      </details>
      {pricesAt && <Link to={pricesAt}>Change prices and times</Link>}
    </Margin>
  );
};
