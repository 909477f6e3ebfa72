/** People at work while machines fail: at the desk, at home, and what each of them was told. */
import { setTimeout as pause } from 'node:timers/promises';
import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { FORM_KEY } from '~/core/check/form-key.ts';
import type { SmallSchool } from '~/tests/world.ts';
import { Visitor, type Answer } from '~/tests/probe/visitor.ts';

/** What happened since it was last asked. */
export interface Seen {
  /** Writes that were acknowledged, and after how long the longest pause between two of them ended. */
  written: number;
  longestPauseMs: number;
  /** Family pages that were read, how many of them told that they are not the newest, and the longest pause between two. */
  read: number;
  older: number;
  longestUnreadMs: number;
  /** What else people were told, by kind. */
  told: Map<string, number>;
}

const fresh = (): Seen => ({
  written: 0,
  longestPauseMs: 0,
  read: 0,
  older: 0,
  longestUnreadMs: 0,
  told: new Map(),
});

/** A page with a sentence for people, in its language. */
const isKind = ({ status, text }: Answer): boolean =>
  status === 503 && /<h1/.test(text) && /<html lang=/.test(text);

export class Load {
  private readonly acknowledged: string[] = [];
  private readonly lentAndBack: string[] = [];
  private seen = fresh();
  private lastWrite = Date.now();
  private lastRead = Date.now();
  private going = true;
  private hands: Promise<void>[] = [];
  /** A pause in which nothing happens: between two cases. */
  private resting = false;

  constructor(
    private readonly world: SmallSchool,
    private readonly address: string,
  ) {}

  async begin(): Promise<void> {
    const desk = new Visitor(this.address);
    await desk.signIn('Coordinator');
    this.lastWrite = this.lastRead = Date.now();
    for (let hand = 0; hand < 4; hand++) this.hands.push(this.addsFamilies(desk, hand));
    for (const copy of [0, 1]) this.hands.push(this.lends(desk, copy));
    for (let hand = 0; hand < 3; hand++) this.hands.push(this.reads(this.world.copies[hand]!.linkKey));
  }

  private tell(kind: string): void {
    this.seen.told.set(kind, (this.seen.told.get(kind) ?? 0) + 1);
  }
  private wrote(): void {
    const now = Date.now();
    this.seen.longestPauseMs = Math.max(this.seen.longestPauseMs, now - this.lastWrite);
    this.seen.written++;
    this.lastWrite = now;
  }

  /** Sends a form as a person does: where it was not taken, once more, with the same key. Answers undefined when it was given up. */
  private async sent(
    desk: Visitor,
    path: string,
    fields: Record<string, string>,
    taken: (answer: Answer) => boolean,
  ): Promise<boolean> {
    const form = { ...fields, [FORM_KEY]: randomUUID() };
    while (this.going) {
      const answer = await desk.post(path, form).catch(() => undefined);
      if (answer && taken(answer)) {
        this.wrote();
        return true;
      }
      if (!answer) this.tell('a connection that ended');
      else if (answer.status === 409) {
        this.tell('it is not known whether it was done: look');
        return false;
      } else if (isKind(answer)) this.tell('come again');
      else if (answer.status === 302 || answer.status < 300) return false;
      else this.tell(`an answer ${answer.status}`);
      await pause(300);
    }
    return false;
  }

  private async addsFamilies(desk: Visitor, hand: number): Promise<void> {
    for (let i = 0; this.going; i++) {
      if (this.resting) {
        await pause(50);
        continue;
      }
      const name = `Family ${hand}-${i}-${randomUUID().slice(0, 8)}`;
      const done = await this.sent(
        desk,
        '/lend/families/new',
        { name, language: 'en', reach: '', allergens: '' },
        (answer) => answer.status === 302 && answer.location?.includes('added=') === true,
      );
      if (done) this.acknowledged.push(name);
      await pause(40);
    }
  }

  private async lends(desk: Visitor, which: number): Promise<void> {
    const copy = this.world.copies[which]!;
    const family = this.world.families[which]!;
    while (this.going) {
      if (this.resting) {
        await pause(50);
        continue;
      }
      const lent: { loan?: string | undefined } = {};
      await this.sent(
        desk,
        '/lend',
        {
          copy: copy.id,
          family: family.id,
          dueOn: new Date(Date.now() + 9 * 86_400_000).toISOString().slice(0, 10),
        },
        (answer) => {
          lent.loan = /lent=([0-9a-f-]{36})/.exec(answer.location ?? '')?.[1];
          return lent.loan !== undefined;
        },
      );
      if (lent.loan) {
        await this.sent(
          desk,
          '/lend',
          { intent: 'undo', loan: lent.loan },
          ({ status }) => status === 302 || status === 200,
        );
        this.lentAndBack.push(lent.loan);
      } else await pause(400);
      await pause(60);
    }
  }

  private async reads(linkKey: string): Promise<void> {
    const family = new Visitor(this.address);
    while (this.going) {
      const answer = await family.get(`/p/${linkKey}?lang=es`).catch(() => undefined);
      const now = Date.now();
      if (answer?.status === 200) {
        this.seen.longestUnreadMs = Math.max(this.seen.longestUnreadMs, now - this.lastRead);
        this.seen.read++;
        if (answer.text.includes('Ahora no se puede llegar')) this.seen.older++;
        this.lastRead = now;
      } else if (!answer) this.tell('a connection that ended');
      else this.tell(isKind(answer) ? 'a family: come again' : `a family: ${answer.status}`);
      await pause(60);
    }
  }

  /** What happened since the last time. */
  since(): Seen {
    const { seen } = this;
    const now = Date.now();
    seen.longestPauseMs = Math.max(seen.longestPauseMs, now - this.lastWrite);
    this.seen = fresh();
    this.lastWrite = this.lastRead = now;
    return seen;
  }

  /** Holds everybody back for a moment, while it is looked at what is there. */
  async rest<T>(work: () => Promise<T>): Promise<T> {
    this.resting = true;
    await pause(700);
    try {
      return await work();
    } finally {
      this.resting = false;
      this.since();
    }
  }

  /** What was acknowledged and is not there, and what is there twice. */
  async missing(ownerUrl: string): Promise<{ lost: string[]; doubled: string[] }> {
    const client = new pg.Client({ connectionString: ownerUrl });
    await client.connect();
    try {
      const { rows } = await client.query<{ name: string; times: number }>(
        'select name, count(*)::int as times from family group by name',
      );
      const there = new Map(rows.map(({ name, times }) => [name, times]));
      const loans = await client.query<{ id: string; events: string }>(
        `select l.id, string_agg(e.kind::text, ' ' order by e.serial) as events from loan l join loan_event e on e.loan_id = l.id group by l.id`,
      );
      const of = new Map(loans.rows.map(({ id, events }) => [id, events]));
      return {
        lost: [
          ...this.acknowledged.filter((name) => !there.has(name)),
          ...this.lentAndBack.filter((id) => !of.has(id)),
        ],
        doubled: [
          ...[...there]
            .filter(([name, times]) => name.startsWith('Family ') && times > 1)
            .map(([name]) => name),
          ...this.lentAndBack.filter((id) => (of.get(id)?.split(' ').length ?? 0) > 2),
        ],
      };
    } finally {
      await client.end();
    }
  }

  async stop(): Promise<void> {
    this.going = false;
    await Promise.all(this.hands);
  }
}
