import { DURABLE_LOANS, MINUTES, PRICES, type PrintCost, type Work } from '~/core/print/cost';
import { PAPERS, type Finish, type Paper } from '~/core/print/sheet';
import { count, money, plain } from '~/core/words/numbers';
import { Entered, Entries, Faint, Margin } from '~/app/ui/Page';

const minutes = (n: number): string => (n >= 120 ? `${plain(n / 60)} hours` : count(n, 'minute'));

const seconds = (n: number): number => Math.round(n * 60);

/** What printing takes, for one copy and for all, and whether it pays to laminate. */
export const PackReckonings = ({
  one,
  all,
  cost,
  copies,
  twoSided,
  finish,
  paper,
  loans,
}: {
  one: Work;
  all: Work;
  cost: PrintCost;
  copies: number;
  twoSided: boolean;
  finish: Finish;
  paper: Paper;
  loans: number;
}) => {
  const each = (of: (work: Work) => string): string | undefined =>
    copies > 1 ? `${of(one)} for one copy.` : undefined;
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
          reason={`${each((work) => minutes(work.minutes)) ?? ''} Reckoned with ${seconds(MINUTES.cut)} seconds a cut, ${seconds(MINUTES.outline)} an outline, ${seconds(MINUTES.pouch)} a pouch, ${MINUTES.copy} minutes a bag.`}
        />
        <Entered
          label={finish === 'durable' ? 'Cost, durable' : 'Cost, plain'}
          number={money(all.costCents)}
          reason={each((work) => money(work.costCents))}
        />
        <Entered
          label={`Cost of one loan, if it goes out ${loans === 1 ? 'once' : `${loans} times`}`}
          number={money(cost.durableCents)}
          unit={`durable, ${money(cost.plainCents)} plain`}
          reason={
            cost.paysFrom === undefined
              ? `Durable never pays here: it is made anew after ${DURABLE_LOANS} loans.`
              : `Durable is no dearer from ${count(cost.paysFrom, 'loan')} on; a marker and a cloth are in it.`
          }
        />
      </Entries>
      <details>
        <summary>Prices these are reckoned with</summary>
        <ul>
          {Object.values(PRICES).map(({ name, size, priceCents }) => (
            <li key={name}>
              {name}: {money(priceCents)}
              {size > 1 ? ` for ${size}` : ''}
            </li>
          ))}
        </ul>
        <Faint>Usual prices; yours may differ. Your own work is not counted as money.</Faint>
      </details>
    </Margin>
  );
};
