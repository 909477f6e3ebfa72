import { useEffect, useRef, useState } from 'react';
import { data } from 'react-router';
import { Form, useFetcher } from '~/app/ui/sending';
import { visible } from '~/core/check/keepable';
import { showTag } from '~/core/kits/tag';
import { readSlip, readSlipNumber, slipSentence } from '~/core/listening/slip';
import { slipQuestions } from '~/core/pack/questions';
import { count } from '~/core/words/numbers';
import { removeAnswer } from '~/data/queries/listening';
import { byIntent, textIn } from '~/server/forms';
import { isId } from '~/server/ids';
import { keepSlip, type SlipBag } from '~/server/listening/slip';
import { requireRole } from '~/server/people/session';
import { ListenWays } from '~/app/desk/ListenWays';
import { Button } from '~/app/ui/Button';
import { TextBox } from '~/app/ui/fields/TextBox';
import { Said } from '~/app/ui/Notices';
import { Entered, Entries, Faint, Heading, Margin, Panel, Row, Stack, Workplace } from '~/app/ui/Page';
import type { Route } from './+types/slips';

export const meta: Route.MetaFunction = () => [{ title: 'Slips · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  await requireRole(request, 'coordinator');
  return { slip: (new URL(request.url).searchParams.get('slip') ?? '').slice(0, 40) };
}

interface Answered {
  /** Changes with every answer, so that the next slip begins. */
  turn?: string;
  kept?: { id: string; sentence: string };
  takenBack?: string;
  problem?: string;
}

export async function action({ request }: Route.ActionArgs) {
  const { at, id: personId } = await requireRole(request, 'coordinator');
  const form = await request.formData();
  return byIntent(form, {
    keep: async () => {
      const slip = visible(textIn(form, 'slip'));
      const words = visible(textIn(form, 'words'), true);
      const result = await keepSlip(at, slip, words, personId);
      return result.status === 200
        ? data<Answered>({ turn: result.id, kept: { id: result.id, sentence: result.kept } })
        : data<Answered>({ problem: result.problem }, { status: result.status });
    },
    back: async () => {
      const answer = form.get('answer');
      return isId(answer) && (await removeAnswer(at, answer, personId))
        ? data<Answered>({ takenBack: answer })
        : data<Answered>(
            { problem: 'Somebody has read this slip already: it stays. Nothing was changed.' },
            { status: 409 },
          );
    },
  });
}

interface Typed {
  id: string;
  sentence: string;
}

export default function Slips({ loaderData }: Route.ComponentProps) {
  const [typed, setTyped] = useState<Typed[]>([]);
  const [began] = useState(() => Date.now());
  const [now, setNow] = useState(began);
  const keep = (one: Typed): void => {
    setTyped((all) => (all.some(({ id }) => id === one.id) ? all : [one, ...all]));
    setNow(Date.now());
  };
  return (
    <Workplace>
      <Stack>
        <ListenWays />
        <Heading title="Type in slips">
          The number, a digit for each question, Enter. The next slip begins by itself; the mouse is not
          needed.
        </Heading>
        <OneSlip key={loaderData.slip} start={loaderData.slip} onKept={keep} />
        {typed.length > 0 && (
          <Panel aria-labelledby="typed">
            <Stack $gap="0.6rem">
              <h2 id="typed">Typed in just now</h2>
              {typed.map((one) => (
                <Kept
                  key={one.id}
                  slip={one}
                  onBack={() => setTyped((all) => all.filter(({ id }) => id !== one.id))}
                />
              ))}
            </Stack>
          </Panel>
        )}
      </Stack>
      <Margin label="Reckonings">
        <Entries>
          <Entered
            label="Typed in"
            number={String(typed.length)}
            unit={typed.length === 1 ? 'slip' : 'slips'}
            reason={
              typed.length > 1
                ? `${Math.round((now - began) / 1000 / typed.length)} seconds each.`
                : 'Since this page was opened.'
            }
          />
        </Entries>
        <p>
          The first box of a question is 1, the next 2; 0 where nothing is ticked. Each game of the bag has a
          digit of its own. K7M4-W 213421 is a whole slip of a bag with one game.
        </p>
      </Margin>
    </Workplace>
  );
}

/** The slip that is being typed in. What it means is said before it is kept. */
function OneSlip({ start, onKept }: { start: string; onKept: (slip: Typed) => void }) {
  const keeper = useFetcher<Answered>();
  const bag = useFetcher<SlipBag | { problem: string }>();
  const [slip, setSlip] = useState(start);
  const [words, setWords] = useState('');
  const box = useRef<HTMLDivElement>(null);
  const done = useRef<string | undefined>(undefined);
  const asked = useRef('');
  const number = readSlipNumber(slip);
  const tag = number.ok ? number.tag : '';
  const { load } = bag;
  useEffect(() => {
    if (tag === '' || asked.current === tag) return;
    asked.current = tag;
    void load(`/listen/slip-bag?slip=${tag}`);
  }, [tag, load]);
  const { data: answered, state } = keeper;
  useEffect(() => {
    if (state !== 'idle' || !answered?.kept || done.current === answered.turn) return;
    done.current = answered.turn;
    asked.current = '';
    onKept(answered.kept);
    setSlip('');
    setWords('');
    box.current?.querySelector('input')?.focus();
  }, [answered, state, onKept]);
  const about = tag && bag.data && 'games' in bag.data && bag.data.tag === tag ? bag.data : undefined;
  const unknown =
    tag && bag.state === 'idle' && bag.data && 'problem' in bag.data ? bag.data.problem : undefined;
  const games = about?.games.length ?? 1;
  const reading = about ? readSlip(slip, games) : undefined;
  // While somebody types, what is still missing is no mistake.
  const long = slip.replace(/[\s-]/g, '').length >= 5 + slipQuestions(games).length;
  const wrong =
    (!number.ok && slip.replace(/[\s-]/g, '').length >= 5 ? number.problem : undefined) ??
    unknown ??
    (long && reading && !reading.ok ? reading.problem : undefined);
  return (
    <Panel aria-label="Type in a paper slip">
      <Form
        by={keeper}
        method="post"
        onSubmit={(event) => {
          // Enter on a slip that is not whole yet keeps nothing, and takes nothing away.
          if (slip.trim() === '') event.preventDefault();
        }}
      >
        <Stack $gap="0.7rem">
          {answered?.problem && state === 'idle' && (
            <Said kind="stop" word="Not kept" live>
              {answered.problem}
            </Said>
          )}
          <div ref={box}>
            <TextBox
              name="slip"
              label="Number and ticks"
              value={slip}
              onChange={setSlip}
              autoComplete="off"
              autoFocus
              maxLength={40}
              error={wrong}
              hint={
                about
                  ? `${showTag(about.tag)}, ${about.family}: ${count(slipQuestions(games).length, 'digit')}${
                      about.typed ? '. This slip was typed in before.' : '.'
                    }`
                  : 'It stands at the top right of the slip, such as K7M4-W.'
              }
            />
          </div>
          <TextBox
            name="words"
            label="What they wrote, if they did"
            value={words}
            onChange={setWords}
            maxLength={1500}
          />
          <Row>
            <Button type="submit" name="intent" value="keep" isPending={state !== 'idle'}>
              Keep this slip
            </Button>
            <input type="hidden" name="intent" value="keep" />
            <Faint role="status">{reading?.ok ? slipSentence(reading, about!.games) : ''}</Faint>
          </Row>
        </Stack>
      </Form>
    </Panel>
  );
}

function Kept({ slip, onBack }: { slip: Typed; onBack: () => void }) {
  const fetcher = useFetcher<Answered>();
  const told = useRef(false);
  useEffect(() => {
    if (fetcher.data?.takenBack !== slip.id || told.current) return;
    told.current = true;
    onBack();
  }, [fetcher.data, slip.id, onBack]);
  return (
    <Form by={fetcher} method="post">
      <input type="hidden" name="answer" value={slip.id} />
      <Row style={{ alignItems: 'center' }}>
        <span>{slip.sentence}</span>
        <Button type="submit" quiet name="intent" value="back" isPending={fetcher.state !== 'idle'}>
          Take it back
        </Button>
        {fetcher.data?.problem && <span role="alert">{fetcher.data.problem}</span>}
      </Row>
    </Form>
  );
}
