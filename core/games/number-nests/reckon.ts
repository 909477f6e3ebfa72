import { fact } from '~/core/cards/facts';
import { point } from '~/core/chance/pmf';
import { count } from '~/core/words/numbers';
import { figure, mend, mind, need, reckoned } from '~/core/games/kit/make';
import type { Assumptions, Reckoning } from '~/core/games/kit/types';
import { allCards, cardsOf, ladder, nests, strays, type NestParams } from './rules';

export function reckon(params: NestParams, assumptions: Assumptions): Reckoning {
  const perNest = nests(params).map((nest) => cardsOf(nest, params).length);
  const all = allCards(params);
  const stray = strays(params).length;
  const [fewest, most] = [Math.min(...perNest), Math.max(...perNest)];
  return reckoned({
    assumptions,
    figures: [
      figure(
        'cards',
        'Sum cards',
        all.length,
        'cards',
        `${perNest.join(' + ')} for the nests${stray ? `, and ${stray} that belong to none` : ''}.`,
      ),
      figure('cardsPerNest.min', 'Fewest in a nest', fewest, 'cards', `The nest of ${params.from}.`),
      figure('cardsPerNest.max', 'Most in a nest', most, 'cards', `The nest of ${params.to}.`),
    ],
    parts: [
      need('sum-card', all.length, 'Every sum once.'),
      need('nest', perNest.length, 'One for each number.'),
      need('two-colour-counter', params.to, 'To lay the two parts of a card when in doubt.'),
    ],
    prep: [
      `Print and cut ${count(all.length, 'sum card')} and ${count(perNest.length, 'nest')}.`,
      'Shuffle the cards face down.',
    ],
    turns: point(all.length),
    practice: all.map(({ a, b }) => ({ fact: fact('add', a, b), meetings: 1 })),
    players: { fewest: 1, most: 4, alone: true },
    notices: [
      all.length > 36 &&
        mind(
          'many-cards',
          `${all.length} cards are more than most children sort in one go.`,
          params.order === 'ordered'
            ? mend('One card for 2 + 3 and 3 + 2', params, { order: 'unordered' })
            : undefined,
        ),
      params.mixIn > stray &&
        mind(
          'few-strays',
          `Only ${stray} different strays lie near these nests.`,
          mend(`Mix in ${stray}`, params, { mixIn: stray }),
        ),
    ],
    ladder: ladder(params),
  });
}
