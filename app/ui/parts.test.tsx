import { renderToStaticMarkup } from 'react-dom/server';
import { MemoryRouter } from 'react-router';
import { describe, expect, it } from 'vitest';
import { figure } from '~/core/games/kit/reckoning';
import { gameOf } from '~/core/games/shelf';
import type { ROLES } from '~/core/people/role';
import { DueFlag } from '~/app/desk/DueFlag';
import { Choice } from './fields/Choice';
import { NumberBox } from './fields/NumberBox';
import { Pick } from './fields/Pick';
import { TextBox } from './fields/TextBox';
import { TickBox } from './fields/TickBox';
import { Frond } from '~/app/desk/Frond';
import { Knobs } from '~/app/game/Knobs';
import { Notices, Said } from './Notices';
import { Empty, Entered, Entries, Heading, State } from './Page';
import { shown } from '~/core/games/kit/shown';
import { STATIONS } from '~/app/desk/stations';

const nothing = (): void => undefined;
const text = (html: string): string =>
  html
    .replace(/<style.*?<\/style>/gs, '')
    .replace(/<[^>]+>/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
const drawn = (element: React.ReactElement): string => renderToStaticMarkup(element);

describe('a field', () => {
  const asked = { name: 'a', label: 'Name of the kit', hint: 'Short.', error: 'It must not be empty.' };
  const options = [{ value: 'x', label: 'Either' }];
  const boxes = {
    text: <TextBox {...asked} />,
    area: <TextBox {...asked} lines={3} />,
    number: <NumberBox {...asked} min={1} max={4} />,
    choice: <Choice {...asked} options={options} />,
    pick: <Pick {...asked} options={options} />,
  };
  it.each(Object.entries(boxes))('of the kind %s says its name and what is wrong with it', (kind, box) => {
    const said = text(drawn(box));
    expect(said).toContain('Name of the kit');
    expect(said).toContain('It must not be empty.');
    // A list says one thing below it: the mistake before the hint.
    if (kind !== 'pick') expect(said).toContain('Short.');
    expect(drawn(box)).toMatch(/aria-invalid="true"|data-invalid="true"/);
  });

  it('keeps its name for readers where the place says it already', () => {
    const html = drawn(<TextBox name="a" label="Note on line 3" labelHidden />);
    expect(html).toMatch(/class="[^"]*visually-hidden[^"]*"[^>]*>Note on line 3/);
  });

  it('has its step buttons named, and stops at its ends', () => {
    const html = drawn(<NumberBox name="a" label="Players" min={1} max={4} defaultValue={4} />);
    expect(html).toContain('aria-label="One less:"');
    expect(html).toMatch(/aria-label="One more:"[^>]*disabled|disabled[^>]*aria-label="One more:"/);
  });

  it('that is ticked says so without its color', () => {
    expect(drawn(<TickBox defaultSelected>Record sheets</TickBox>)).toMatch(/checked=""/);
    expect(drawn(<TickBox>Record sheets</TickBox>)).not.toMatch(/checked=""/);
  });
});

describe('what is said', () => {
  it('comes by urgency, each with its word, and a mend only where it can be pressed', () => {
    const notices = [
      { code: 'c', severity: 'know' as const, text: 'Know this.' },
      { code: 'a', severity: 'stop' as const, text: 'Stop here.', mend: { label: 'Use fewer', params: {} } },
      { code: 'b', severity: 'mind' as const, text: 'Mind that.' },
    ];
    expect(text(drawn(<Notices notices={notices} onMend={nothing} />))).toBe(
      'Does not work. Stop here. Use fewer Look here. Mind that. Good to know. Know this.',
    );
    expect(text(drawn(<Notices notices={notices} />))).not.toContain('Use fewer');
  });

  it('is told to readers when it has just come', () => {
    expect(
      drawn(
        <Said kind="done" live>
          Saved.
        </Said>,
      ),
    ).toContain('role="status"');
    expect(drawn(<Said kind="done">Saved.</Said>)).not.toContain('role=');
  });
});

describe('a due date', () => {
  it.each([
    ['2026-11-20', '2026-11-24', /overdue/],
    ['2026-11-24', '2026-11-24', /due today/],
    ['2026-12-20', '2026-11-24', /./],
  ] as const)('%s on %s says how near it is', (dueOn, today, words) => {
    expect(text(drawn(<DueFlag dueOn={dueOn} today={today} />))).toMatch(words);
  });
});

describe('the frond', () => {
  const waiting = { choose: 1, fill: 0, word: 846, print: 2, lend: 3, takeBack: 0, listen: 0, lookBack: 0 };
  const frond = (role: (typeof ROLES)[number], path = '/print') =>
    drawn(
      <MemoryRouter initialEntries={[path]}>
        <Frond
          waiting={waiting}
          person={{ id: 'p', name: 'Maren', role }}
          school={{ id: 's', name: 'Kittiwake Bay Elementary', among: 1 }}
        />
      </MemoryRouter>,
    );
  it('has a leaf for each station in working order, with what waits there', () => {
    const said = text(frond('coordinator'));
    const at = STATIONS.map(({ label }) => said.indexOf(label));
    expect(at.every((place) => place >= 0)).toBe(true);
    expect([...at].sort((a, b) => a - b)).toEqual(at);
    expect(said).toMatch(/Word 846/);
  });
  it('marks the station one is at, and shows a helper only where a helper works', () => {
    expect(frond('coordinator')).toMatch(/aria-current="page"[^>]*>|href="\/print"[^>]*aria-current="page"/);
    const helper = text(frond('helper'));
    expect(helper).toContain('Print');
    expect(helper).not.toContain('Look back');
    expect(text(frond('reader', '/word'))).not.toContain('Lend');
  });
});

describe('a reckoning', () => {
  it('stands with its unit and its reason; one of a thing is one', () => {
    const one = figure('sheets', 'Sheets', 1, 'sheets', 'They fit.');
    expect(shown(one)).toEqual({ number: '1', unit: 'sheet' });
    expect(shown({ ...one, value: 2 })).toEqual({ number: '2', unit: 'sheets' });
    const html = drawn(
      <Entries>
        <Entered label="Sheets" {...shown(one)} reason="They fit." />
      </Entries>,
    );
    expect(text(html)).toBe('Sheets 1 sheet They fit.');
  });
});

describe('a page', () => {
  it('has one heading of the first rank, and says what to do where nothing is', () => {
    expect(drawn(<Heading title="Print a pack">Look first.</Heading>).match(/<h1/g)).toHaveLength(1);
    const said = text(
      drawn(
        <Empty title="No copy yet" action={<a href="/fill">Build one</a>}>
          They come from kits.
        </Empty>,
      ),
    );
    expect(said).toBe('No copy yet They come from kits. Build one');
  });
  it('tells a state by word and shape', () => {
    for (const tone of ['calm', 'wait', 'hand', 'note'] as const)
      expect(drawn(<State tone={tone}>at school</State>)).toMatch(/<svg[^>]*aria-hidden/);
  });
});

describe('knobs', () => {
  it('show only what matters with the others as they are', () => {
    const game = gameOf('harvest-mat');
    const all = game.knobs;
    const { params } = game.presets[0]!;
    const said = (source: string) =>
      text(drawn(<Knobs knobs={all} params={{ ...params, source }} errors={{}} onTurn={nothing} />));
    expect(said('cards')).toContain('Sum cards for each number');
    expect(said('one-die')).not.toContain('Sum cards for each number');
  });
});
