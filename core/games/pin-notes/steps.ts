import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import type { PinParams } from './rules';

export function steps({ pins, rolls }: PinParams): Step[] {
  const down = Math.floor(pins / 2);
  return list(
    ['setUp.pins', { pins }],
    ['setUp.line', {}],
    ['turn.roll', {}],
    ['turn.count', { pins, down }, 'pieces'],
    ['turn.say', { pins, down, answer: pins - down }],
    ['turn.draw', {}, 'drawing'],
    ['turn.write', { pins, down, answer: pins - down }, 'symbols'],
    ['end.card', { rolls }],
    ['easier.near', {}],
    ['harder.before', {}],
    ['sideBySide.together', {}],
    ['younger.sets', { years: 3 }],
    ['atHome.tubes', { pins }],
    ['say.standing', {}],
    ['say.part'],
    ['caution.throw'],
  );
}
