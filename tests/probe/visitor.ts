/** A visitor without a browser: keeps cookies, reads the hidden fields of forms, sends them. */
import { request as httpRequest } from 'node:http';
import { setTimeout as pause } from 'node:timers/promises';
import { PASSWORD } from '../world';

/** So often is asked again where a server has no place. */
export const BUSY_TRIES = 20;

export interface Answer {
  status: number;
  text: string;
  location: string | undefined;
}

const unescape = (text: string): string =>
  text
    .replaceAll('&quot;', '"')
    .replaceAll('&#x27;', "'")
    .replaceAll('&lt;', '<')
    .replaceAll('&gt;', '>')
    .replaceAll('&amp;', '&');

export type Fields = Record<string, string | readonly string[]>;

export class Visitor {
  private readonly cookies = new Map<string, string>();

  constructor(readonly address: string) {}

  get cookie(): string {
    return [...this.cookies].map(([name, value]) => `${name}=${value}`).join('; ');
  }

  /** The same visitor at another server. */
  at(address: string): Visitor {
    const other = new Visitor(address);
    for (const [name, value] of this.cookies) other.cookies.set(name, value);
    return other;
  }

  private async ask(path: string, init: RequestInit): Promise<Answer> {
    const answer = await fetch(this.address + path, {
      redirect: 'manual',
      ...init,
      headers: { Cookie: this.cookie, Accept: 'text/html', ...init.headers },
    });
    for (const line of answer.headers.getSetCookie()) {
      const [, name, value] = /^([^=]+)=([^;]*)/.exec(line)!;
      if (value) this.cookies.set(name!, value);
      else this.cookies.delete(name!);
    }
    return {
      status: answer.status,
      text: await answer.text(),
      location: answer.headers.get('location') ?? undefined,
    };
  }

  get = (path: string): Promise<Answer> => this.ask(path, {});

  post(path: string, fields: Fields): Promise<Answer> {
    const body = new URLSearchParams();
    for (const [name, value] of Object.entries(fields))
      for (const one of typeof value === 'string' ? [value] : value) body.append(name, one);
    return this.ask(path, { method: 'POST', body, headers: { Origin: this.address } });
  }

  /** Hidden fields of the form on a page that has a field of this name; lists where a name stands more than once. */
  async form(path: string, withField: string): Promise<Fields> {
    const { text } = await this.get(path);
    const forms = [...text.matchAll(/<form\b[^]*?<\/form>/g)].map(([form]) => form);
    const form = forms.find((one) => one.includes(`name="${withField}"`)) ?? '';
    const fields: Record<string, string | string[]> = {};
    for (const [tag] of form.matchAll(/<input\b[^>]*type="hidden"[^>]*>/g)) {
      const name = /name="([^"]*)"/.exec(tag)?.[1];
      const value = unescape(/value="([^"]*)"/.exec(tag)?.[1] ?? '');
      if (!name) continue;
      const before = fields[name];
      fields[name] =
        before === undefined ? value : [...(typeof before === 'string' ? [before] : before), value];
    }
    return fields;
  }

  async signIn(name: string, password = PASSWORD): Promise<Answer> {
    // A server that is busy says so: whoever wants to sign in presses again.
    for (let times = 1; ; times++) {
      const answer = await this.post('/sign-in', { name, password });
      if (![502, 503].includes(answer.status) || times === BUSY_TRIES) return answer;
      await pause(500);
    }
  }
}

/** One request with any method, headers and body, from any address of this machine. Answers its status, 0 when there was none. */
export function raw(
  address: string,
  options: {
    method: string;
    path: string;
    headers?: Record<string, string>;
    body?: Buffer | string | undefined;
    from?: string | undefined;
  },
): Promise<{ status: number; text: string; comeAgain?: boolean }> {
  const { hostname, port } = new URL(address);
  return new Promise((done) => {
    const none = (): void => done({ status: 0, text: '' });
    let sent;
    try {
      sent = httpRequest(
        {
          hostname,
          port,
          method: options.method,
          path: options.path,
          headers: options.headers,
          localAddress: options.from,
          timeout: 20_000,
        },
        (answer) => {
          let text = '';
          answer.on('data', (data: Buffer) => (text = text.length < 5000 ? text + data.toString() : text));
          const comeAgain = answer.statusCode === 503 && answer.headers['retry-after'] !== undefined;
          answer.on('end', () => done({ status: answer.statusCode ?? 0, text, comeAgain }));
          answer.on('error', none);
        },
      );
    } catch {
      return none();
    }
    sent.on('timeout', () => {
      sent.destroy();
      done({ status: -1, text: 'no answer in 20 s' });
    });
    sent.on('error', none);
    sent.end(options.body);
  });
}
