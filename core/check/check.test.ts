import { Type } from '@sinclair/typebox';
import { describe, expect, it } from 'vitest';
import { checkForm, checkJson } from './check';
import { Line, OneOf, LongText, Whole } from './schema';
import { knobsOf } from '~/core/games/kit/knobs';

const schema = Type.Object(
  {
    counters: Whole(3, 20, { title: 'Counters', default: 6 }),
    order: OneOf({ kept: 'as they fall', free: 'either way' }, { title: 'Order', default: 'kept' }),
  },
  { additionalProperties: false },
);
const form = Type.Object({
  name: Line(5, { title: 'Name' }),
  note: LongText(4, { title: 'Note' }),
  players: Type.Optional(Whole(1, 4, { title: 'Players' })),
});

describe('checking JSON', () => {
  it('fills in defaults and leaves the input alone', () => {
    const input = { counters: 4 };
    expect(checkJson(schema, input)).toEqual({ ok: true, value: { counters: 4, order: 'kept' } });
    expect(input).toEqual({ counters: 4 });
  });

  it.each([
    [{ counters: 2 }, 'counters', 'Counters must be from 3 to 20.'],
    [{ counters: 6.5 }, 'counters', 'Counters must be a whole number from 3 to 20.'],
    [{ counters: '6' }, 'counters', 'Counters must be a whole number from 3 to 20.'],
    [{ order: 'no' }, 'order', 'Order must be one of: kept (as they fall); free (either way).'],
    [{ extra: 1 }, 'extra', 'There is no setting called “extra”.'],
    [[], '', 'The settings must be an object such as {"counters": 6}.'],
    [null, '', 'The settings must be an object such as {"counters": 6}.'],
  ])('says one sentence for %j', (input, field, sentence) => {
    expect(checkJson(schema, input)).toEqual({ ok: false, errors: { [field]: sentence } });
  });

  it('names every field that is wrong', () => {
    const checked = checkJson(schema, { counters: 99, order: 7 });
    expect(checked.ok ? [] : Object.keys(checked.errors).sort()).toEqual(['counters', 'order']);
  });
});

describe('checking forms', () => {
  it('reads numbers from text, trims, and takes an empty number as missing', () => {
    expect(checkForm(form, { name: ' Ana ', note: '', players: '' })).toEqual({
      ok: true,
      value: { name: 'Ana', note: '' },
    });
    expect(checkForm(form, { name: 'Ana', players: '3' })).toMatchObject({ ok: true, value: { players: 3 } });
  });

  it('ignores fields it does not know and refuses the others in words', () => {
    const filled = new FormData();
    filled.set('name', '   ');
    filled.set('players', 'two');
    filled.set('intent', 'save');
    expect(checkForm(form, filled)).toEqual({
      ok: false,
      errors: { name: 'Name must not be empty.', players: 'Players must be a whole number from 1 to 4.' },
    });
    expect(checkForm(form, { name: 'far too long', note: 'ok' })).toMatchObject({
      errors: { name: 'Name has room for 5 characters.' },
    });
    expect(checkForm(form, {})).toMatchObject({ errors: { name: 'Name is missing.' } });
  });
});

describe('knobs', () => {
  it('follow the schema', () => {
    expect(knobsOf(schema).map((knob) => [knob.kind, knob.name])).toEqual([
      ['whole', 'counters'],
      ['choice', 'order'],
    ]);
    expect(() => knobsOf(Type.Object({ odd: Type.Date() }))).toThrow(/odd/);
  });
});
