import { useState } from 'react';
import { Link } from 'react-router';
import { DECK, deckWithout, type Card } from '~/core/cards/deck';
import { gameOf, SHELF } from '~/core/games/shelf';
import { settle } from '~/core/games/kit/game';
import type { DeckVerdict, Params } from '~/core/games/kit/types';
import { nameOf } from '~/core/words/reading';
import { count } from '~/core/words/numbers';
import { listVariants } from '~/data/queries/kits';
import { requireRole } from '~/server/people/session';
import { TickBox } from '~/app/ui/fields/TickBox';
import { MissingCards } from '~/app/game/Knobs';
import { Faint, Heading, Row, Panel, Stack, State, Wide, type Tone } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import { useRemembered } from '~/app/ui/remember';
import { useLive } from '~/app/game/useLive';
import type { Route } from './+types/deck';

export const meta: Route.MetaFunction = () => [{ title: 'Check a deck · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator', 'helper');
  const mine = (await listVariants(at))
    .filter(({ gameId, own }) => !own && gameOf(gameId).audits)
    .map(({ id, gameId, name, params }): Audited => ({
      key: id,
      gameId,
      game: nameOf(gameOf(gameId)),
      name: `your variant “${name}”`,
      params,
      link: `/choose/${gameId}?variant=${id}`,
      whole: settle(gameOf(gameId), params).audit(DECK),
    }));
  // The card games at every preset that uses the usual deck.
  const presets = SHELF.filter((game) => game.audits).flatMap((game) =>
    game.presets
      .filter(({ params }) => params.source === undefined || params.source === 'cards')
      .map(({ id, name, tradition, params }): Audited => ({
        key: `${game.id} ${id}`,
        gameId: game.id,
        game: nameOf(game),
        name: [name, tradition && `where ${tradition}`].filter(Boolean).join(', '),
        params,
        link: `/choose/${game.id}?preset=${id}`,
        whole: settle(game, params).audit(DECK),
      })),
  );
  return { mine, presets, gameIds: [...new Set(presets.map(({ gameId }) => gameId))] };
}

interface Audited {
  key: string;
  gameId: string;
  game: string;
  name: string;
  params: Params;
  link: string;
  /** What a whole deck does to it. */
  whole: DeckVerdict;
}

const WORDS: Record<DeckVerdict['verdict'], { tone: Tone; word: string }> = {
  plays: { tone: 'calm', word: 'plays as it is' },
  playsWithNote: { tone: 'wait', word: 'plays, with a note' },
  doesNotPlay: { tone: 'hand', word: 'does not play' },
};
/** While the games are still on their way. */
const ASKING = { verdict: undefined, note: 'One moment: this is being worked out.' };
const ORDER: DeckVerdict['verdict'][] = ['plays', 'playsWithNote', 'doesNotPlay'];
const placeOf = (verdict?: DeckVerdict['verdict']): number => (verdict ? ORDER.indexOf(verdict) : 0);

interface Decks {
  first: Card[];
  second: Card[];
  two: boolean;
}
const NO_DECKS: Decks = { first: [], second: [], two: false };

export default function DeckAudit({ loaderData }: Route.ComponentProps) {
  const { mine, presets, gameIds } = loaderData;
  const live = useLive(gameIds.map((gameId) => ({ gameId })));
  const { value: decks, set } = useRemembered<Decks>('deck check', NO_DECKS, (kept) => ({
    first: DECK.filter((card) => kept.first?.includes(card)),
    second: DECK.filter((card) => kept.second?.includes(card)),
    two: kept.two === true,
  }));
  const [every, setEvery] = useState(false);
  const whole = decks.first.length === 0 && !decks.two;
  const cards = [...deckWithout(decks.first), ...(decks.two ? deckWithout(decks.second) : [])];
  // One preset of each game is enough at a glance; the others wait behind a tick.
  const rows = [
    ...mine,
    ...presets.filter((row, i) => every || presets.findIndex((one) => one.gameId === row.gameId) === i),
  ].map((row) => ({
    ...row,
    ...(live.get(row.gameId)?.settle(row.params).audit(cards) ?? (whole ? row.whole : ASKING)),
  }));
  const plays = rows.filter((row) => row.verdict && row.verdict !== 'doesNotPlay').length;
  const lost = decks.first.filter((card) => decks.second.includes(card));
  return (
    <Wide>
      <Stack>
        <Heading title="Does this deck still play?">
          A donated or returned deck with cards missing is often good for another game. Tap what it lacks.
        </Heading>
        <Row $gap="1.4rem" style={{ alignItems: 'start' }}>
          <Panel aria-labelledby="first" style={{ flex: '1 1 520px' }}>
            <Stack $gap="0.7rem">
              <h2 id="first">{decks.two ? 'The first deck' : 'The deck'}</h2>
              <MissingCards
                label="Missing cards"
                missing={decks.first}
                onChange={(first) => set((old) => ({ ...old, first }))}
              />
              <TickBox isSelected={decks.two} onChange={(two) => set((old) => ({ ...old, two }))}>
                There is a second deck: what do the two make together?
              </TickBox>
            </Stack>
          </Panel>
          {decks.two && (
            <Panel aria-labelledby="second" style={{ flex: '1 1 520px' }}>
              <Stack $gap="0.7rem">
                <h2 id="second">The second deck</h2>
                <MissingCards
                  label="Cards missing from the second deck"
                  missing={decks.second}
                  onChange={(second) => set((old) => ({ ...old, second }))}
                />
              </Stack>
            </Panel>
          )}
        </Row>
        <p aria-live="polite">
          <strong>
            {count(cards.length, 'card')} of {decks.two ? 2 * DECK.length : DECK.length}.
          </strong>{' '}
          {plays} of {count(rows.length, 'game')} can be played
          {decks.two ? ' with both decks shuffled together' : ''}.
          {decks.two &&
            (lost.length === 0
              ? ' Together they also make one whole deck: every card is in at least one of them.'
              : ` One whole deck cannot be made of them: ${count(lost.length, 'card is', 'cards are')} missing from both.`)}
        </p>
        <Table
          rows={[...rows].sort((a, b) => placeOf(a.verdict) - placeOf(b.verdict))}
          rowKey={(row) => row.key}
          columns={[
            {
              head: 'Game',
              cell: (row) => (
                <>
                  <Link to={row.link}>{row.game}</Link>
                  <Faint>{row.name}</Faint>
                </>
              ),
            },
            {
              head: 'With these cards',
              cell: (row) =>
                row.verdict && <State tone={WORDS[row.verdict].tone}>{WORDS[row.verdict].word}</State>,
            },
            { head: 'Note', cell: (row) => row.note },
          ]}
        />
        <TickBox isSelected={every} onChange={setEvery}>
          Show every preset of every card game
        </TickBox>
      </Stack>
    </Wide>
  );
}
