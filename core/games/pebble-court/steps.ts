import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import type { CourtParams } from './rules';

export function steps({ cells, layout, place }: CourtParams): Step[] {
  return list(
    place === 'chalk'
      ? ['setUp.chalk', { cells }]
      : place === 'tape'
        ? ['setUp.tape', { cells }]
        : ['setUp.paper', { cells }],
    ['setUp.stones', {}],
    ['turn.throw', {}],
    layout === 'branching' ? ['turn.branching', {}] : ['turn.hop', {}],
    ['turn.say', {}],
    ['turn.back', {}],
    ['end.last', { cells }],
    ['easier.feet', {}],
    ['harder.twos', { step: 2 }],
    ['sideBySide.relay', {}],
    ['younger.walks', { years: 3 }],
    ['atHome.tape', {}],
    ['say.where', {}],
    ['say.before', {}],
    place === 'chalk' ? ['caution.outside'] : place === 'tape' ? ['caution.floor'] : ['caution.rest'],
  );
}
