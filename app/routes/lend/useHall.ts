import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useRevalidator } from 'react-router';
import {
  after,
  against,
  notToLend,
  readHall,
  type HallAct,
  type HallBag,
  type HallKnown,
  type Heard,
} from '~/core/lending/hall';
import { showTag } from '~/core/kits/tag';
import { keepAct, keepAway, letGo, send, waitingActs, type Mine } from '~/app/desk/hallKept';

/** One thing that was done, with what came of it; `waiting` until the school has heard of it. */
export interface Done {
  act: HallAct;
  heard: Heard;
  waiting: boolean;
  undone?: boolean;
}

const AGAIN_MS = 4000;
const MOST_SHOWN = 40;

/** What day it is where this device is. */
function dayHere(): string {
  const now = new Date();
  const two = (n: number): string => String(n).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}

/** The desk in the hall: it goes on without network, keeps what was done, and sends it in order, each thing once. */
export function useHall({ person, school }: Mine, base: HallKnown) {
  const mine = useMemo(() => ({ person, school }), [person, school]);
  /** Scans of somebody else that wait in this browser. */
  const [others, setOthers] = useState(0);
  const [done, setDone] = useState<Done[]>([]);
  const [pending, setPending] = useState<string[]>([]);
  const [heard, setHeard] = useState<{ heard: Heard; n: number }>();
  const [online, setOnline] = useState(true);
  /** The school answers, and wants to know first who is here. */
  const [signedOut, setSignedOut] = useState(false);
  const [queue, setQueue] = useState<{ key: number; act: HallAct }[]>([]);
  /** Acts that what the school told last does not know of yet. */
  const [since, setSince] = useState<HallAct[]>([]);
  const { revalidate } = useRevalidator();
  const known = useMemo(
    () =>
      since.reduce(
        (now, act, i) =>
          after(now, act, since.slice(0, i).find(({ id }) => id === act.of) ?? undone(done, act)),
        base,
      ),
    [base, since, done],
  );
  const say = useCallback((what: Heard) => setHeard((old) => ({ heard: what, n: (old?.n ?? 0) + 1 })), []);

  // What the school tells anew knows of all that was sent.
  const waiting = useRef(queue);
  useEffect(() => {
    waiting.current = queue;
  }, [queue]);
  useEffect(() => {
    setSince(waiting.current.map(({ act }) => act));
  }, [base]);

  // What an earlier visit has left is sent too.
  useEffect(() => {
    void waitingActs(mine)
      .then(({ own: left, others: more }) => {
        setOthers(more);
        setQueue((old) => (old.length ? old : left));
        setSince((old) => (old.length ? old : left.map(({ act }) => act)));
        setDone((old) =>
          old.length ? old : left.map(({ act }) => ({ act, heard: KEPT, waiting: true })).reverse(),
        );
      })
      .catch(() => undefined);
  }, [mine]);

  useEffect(() => {
    const up = (): void => setOnline(true);
    const down = (): void => setOnline(false);
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setOnline(navigator.onLine);
    addEventListener('online', up);
    addEventListener('offline', down);
    return () => {
      removeEventListener('online', up);
      removeEventListener('offline', down);
    };
  }, []);
  // Where the school did not answer it is asked again after a while.
  useEffect(() => {
    if (online) return;
    const timer = setInterval(() => setOnline(navigator.onLine), AGAIN_MS);
    return () => clearInterval(timer);
  }, [online]);

  const sending = useRef(false);
  const head = queue[0];
  useEffect(() => {
    if (!head || !online || sending.current) return;
    sending.current = true;
    const settle = async (): Promise<void> => {
      try {
        const answer = await send(head.act);
        setSignedOut(answer === 'door');
        if (answer === 'away' || answer === 'door') {
          await keepAway(mine, head.key, head.act);
          setQueue((old) =>
            old.map((one) => (one.key === head.key ? { ...one, act: { ...one.act, away: true } } : one)),
          );
          setOnline(false);
          return;
        }
        await letGo(head.key);
        setQueue((old) => old.filter(({ key }) => key !== head.key));
        setDone((old) =>
          old.map((one) => (one.act.id === head.act.id ? { ...one, heard: answer, waiting: false } : one)),
        );
        say(answer);
        if (answer.kind === 'wrong') setSince((old) => old.filter(({ id }) => id !== head.act.id));
        if (waiting.current.length <= 1) void revalidate();
      } finally {
        sending.current = false;
      }
    };
    void settle();
  }, [head, online, mine, say, revalidate]);

  const perform = async (act: HallAct, local: Heard): Promise<void> => {
    const key = await keepAct(mine, act);
    setQueue((old) => [...old, { key, act }]);
    setSince((old) => [...old, act]);
    setDone((old) =>
      [
        { act, heard: local, waiting: true },
        ...old.map((one) => (one.act.id === act.of ? { ...one, undone: true } : one)),
      ].slice(0, MOST_SHOWN),
    );
    if (!online) say({ ...local, text: `${local.text} Kept here, and sent when the connection is back.` });
  };
  const act = (fields: Partial<HallAct> & Pick<HallAct, 'kind'>): HallAct => ({
    id: crypto.randomUUID(),
    day: dayHere(),
    away: !online,
    ...fields,
  });

  /** What was scanned or typed. */
  const enter = async (text: string): Promise<void> => {
    const scan = readHall(text, known);
    if (scan.kind === 'unread') return say({ kind: 'wrong', word: 'Not read', text: scan.text });
    if (scan.kind === 'bag') {
      const { bag } = scan;
      const stays = notToLend(bag);
      if (stays) return say(stays);
      const name = `${showTag(bag.tag)}, ${bag.kitName}`;
      if (bag.with !== null)
        return perform(act({ kind: 'home', tag: bag.tag }), {
          kind: 'right',
          word: 'Home',
          text: `${name}, is home. Put it with those to count.`,
        });
      if (!pending.includes(bag.tag)) setPending((old) => [...old, bag.tag]);
      const meant = bag.meantFor && known.families.find(({ card }) => card === bag.meantFor);
      return say({
        kind: 'next',
        word: showTag(bag.tag),
        text: `${bag.kitName}. Now the card of ${meant ? meant.name : 'the family'}.`,
      });
    }
    if (pending.length === 0)
      return say({
        kind: 'wrong',
        word: 'Bag first',
        text: `${scan.family.name}: scan the bag, then the card.`,
      });
    setPending([]);
    let now = known;
    for (const tag of pending) {
      const bag = now.bags.find((one) => one.tag === tag) as HallBag;
      const family = now.families.find(({ card }) => card === scan.family.card)!;
      const stops = against(bag, family, now);
      if (stops) {
        say(stops);
        break;
      }
      const one = act({ kind: 'lend', tag, card: family.card });
      now = after(now, one);
      await perform(one, {
        kind: 'right',
        word: family.name,
        text: `${showTag(tag)}, ${bag.kitName}, is theirs.`,
      });
    }
  };

  /** Takes back what was done last. */
  const undo = async (): Promise<void> => {
    if (pending.length) {
      setPending((old) => old.slice(0, -1));
      return say({ kind: 'next', word: 'Laid back', text: 'The bag that was scanned last waits no more.' });
    }
    const last = done.find((one) => one.act.kind !== 'undo' && !one.undone && one.heard.kind === 'right');
    if (!last)
      return say({ kind: 'wrong', word: 'Nothing', text: 'Nothing was done here that could be undone.' });
    await perform(act({ kind: 'undo', of: last.act.id }), {
      kind: 'right',
      word: 'Undone',
      text: `${last.act.tag ? showTag(last.act.tag) : 'It'} is as it was before.`,
    });
  };

  return { known, pending, heard, online, signedOut, done, waiting: queue.length, others, enter, undo };
}

const KEPT: Heard = {
  kind: 'right',
  word: 'Kept',
  text: 'Kept in this browser until the school has heard of it.',
};

/** What an act takes back, among what was done here. */
const undone = (done: readonly Done[], { of }: HallAct): HallAct | undefined =>
  done.find(({ act }) => act.id === of)?.act;
