import { Link } from 'react-router';
import { Form } from '~/app/ui/sending';
import type { FieldErrors } from '~/core/check/check';
import { count } from '~/core/words/numbers';
import { ShareFigure } from '~/app/desk/ShareFigure';
import { Button, useSending } from '~/app/ui/Button';
import { TextBox } from '~/app/ui/fields/TextBox';
import { Said } from '~/app/ui/Notices';
import { Faint, Panel, Row, Stack } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import type { ToldMany } from '~/server/lending/invitations';
import type { Route } from './+types/evening';

type Shown = Route.ComponentProps['loaderData'];

/** What became of telling many families, in a sentence or two. */
function toldSentence({ now, paper, held, later, never }: ToldMany): string {
  const told = now - held;
  return [
    now === 0 && 'Nobody was left to be told now.',
    told > 0 &&
      `${count(told, 'family is', 'families are')} told${paper > 0 ? `, ${paper} of them on paper: print the strips under Messages` : ''}.`,
    held > 0 &&
      `${count(held, 'message waits', 'messages wait')} until a fluent reader has checked the wording.`,
    later > 0 &&
      `${count(later, 'family was', 'families were')} written to already: press once more on another day.`,
    never > 0 && `${never} would rather not be written to: ask them when you see them.`,
  ]
    .filter(Boolean)
    .join(' ');
}
export const Told = ({ told }: { told: ToldMany | undefined }) =>
  told && (
    <Said kind={told.held || told.later ? 'mind' : 'done'} word="Told" live>
      {toldSentence(told)}
    </Said>
  );

/** Families are asked to come, in their language, by message or on paper. */
export function AskThem({
  held,
  over,
  hidden,
  told,
}: Pick<Shown, 'held' | 'over'> & { hidden: React.ReactNode; told: ToldMany | undefined }) {
  const busy = useSending();
  const { all, yes, no, held: waiting, paper } = held.asked;
  return (
    <Panel aria-labelledby="ask">
      <Stack $gap="0.7rem">
        <h2 id="ask">Ask families to come</h2>
        <Told told={told} />
        {all > 0 && (
          <p>
            {count(all, 'family was', 'families were')} asked: {yes} said yes, {no} said no, {all - yes - no}{' '}
            did not answer yet.
            {waiting > 0 && ` ${waiting} of the invitations wait for a fluent reader.`}
            {paper > 0 && (
              <>
                {' '}
                {paper} wait <Link to="/lend/messages">to be printed</Link>.
              </>
            )}
          </p>
        )}
        {over ? (
          <Faint>The day is over: nobody is asked any more.</Faint>
        ) : (
          <Form method="post">
            {hidden}
            <Button type="submit" quiet={all > 0} name="intent" value="invite" isPending={busy}>
              {all > 0 ? 'Ask everybody who was not asked yet' : 'Ask every family, each in its language'}
            </Button>
          </Form>
        )}
      </Stack>
    </Panel>
  );
}

/** The rules of the district for the hall, said before the usual cautions. */
export function HallRules({
  plan,
  hidden,
  errors,
}: Pick<Shown, 'plan'> & { hidden: React.ReactNode; errors: FieldErrors }) {
  const busy = useSending();
  return (
    <Panel aria-labelledby="hall">
      <Form method="post">
        {hidden}
        <Stack $gap="0.7rem">
          <h2 id="hall">Rules for the hall</h2>
          <TextBox
            name="hallRules"
            label="What your district asks"
            lines={3}
            maxLength={1000}
            defaultValue={plan.hallRules ?? ''}
            error={errors.hallRules}
            hint="How many people the hall holds, food, doors, who is called in an emergency. It stands first in the margin and on each host’s card."
          />
          <div>
            <Button type="submit" quiet name="intent" value="hallRules" isPending={busy}>
              Keep these rules
            </Button>
          </div>
        </Stack>
      </Form>
    </Panel>
  );
}

/** The evening itself, and what follows from it. */
export function HoldIt({
  held,
  hidden,
  told,
}: Pick<Shown, 'held'> & { hidden: React.ReactNode; told: ToldMany | undefined }) {
  const busy = useSending();
  const { door, came, unasked, shares, tables, thanked } = held;
  return (
    <Panel aria-labelledby="hold">
      <Stack $gap="0.8rem">
        <h2 id="hold">Hold it, and after</h2>
        <Told told={told} />
        {!door ? (
          <Form method="post">
            {hidden}
            <p>
              Families tick themselves in at the door, on a tablet in their language or on paper; whoever is
              new is entered with name and language.
            </p>
            <Button type="submit" name="intent" value="door" isPending={busy}>
              Set up the table at the door
            </Button>
          </Form>
        ) : (
          <>
            <p>
              <Link to={`/lend/tables?table=${door.id}`}>The table at the door</Link>:{' '}
              {came === 0 ? 'nobody has come yet.' : `${count(came, 'family', 'families')} came`}
              {came > 0 && (unasked > 0 ? `, ${unasked} of them without being asked one by one.` : '.')}
            </p>
            {came > 0 && (
              <Form method="post">
                {hidden}
                <Row $gap="0.6rem">
                  <Button type="submit" quiet name="intent" value="handOut" isPending={busy}>
                    Match bags to those who are there
                  </Button>
                  <Button type="submit" quiet name="intent" value="thank" isPending={busy}>
                    {thanked > 0
                      ? 'Thank those who were not thanked yet'
                      : `Thank ${count(came, 'family', 'families')}`}
                  </Button>
                </Row>
                {thanked > 0 && <p>{count(thanked, 'family was', 'families were')} thanked.</p>}
              </Form>
            )}
            {shares.map(({ by, shares: rows, sentence }) => (
              <ShareFigure
                key={by}
                id={`came-${by}`}
                title={`Who came, by ${by}`}
                sentence={sentence}
                shares={rows}
              />
            ))}
            {tables.length > 0 && (
              <Table
                label="What families said of the tables"
                rows={tables}
                rowKey={({ table }) => table}
                columns={[
                  { head: 'Table', cell: ({ table }) => table },
                  { head: 'Game', cell: ({ game }) => game },
                  { head: 'Too easy', cell: ({ tooEasy }) => tooEasy },
                  { head: 'Just right', cell: ({ justRight }) => justRight },
                  { head: 'Too hard', cell: ({ tooHard }) => tooHard },
                  { head: 'Once more', cell: ({ again, answered }) => `${again} of ${answered}` },
                ]}
              />
            )}
            {tables.length > 0 && (
              <Faint>These words count for the levels of the children, and so for their next bags.</Faint>
            )}
          </>
        )}
        <Form method="post">
          {hidden}
          <Button type="submit" quiet name="intent" value="another" isPending={busy}>
            Plan another evening like this one
          </Button>
        </Form>
      </Stack>
    </Panel>
  );
}
