import type { Messages } from '~/core/words/message';

export const rowCall: Messages = {
  name: 'Chamada na Fila',
  goal: '{win, select, line {Ouçam um número e virem: quem fecha uma linha primeiro?} other {Ouçam um número e virem, até que todas as cartas estejam viradas.}}',
  'setUp.remove': 'Tirem os valetes, as damas e os reis: ficam {cards} cartas. O ás vale um.',
  'setUp.grid': 'Cada participante põe {cards} cartas viradas para cima em {rows} filas de {rows}.',
  'setUp.rest': 'Quem anuncia pega as cartas que sobraram, viradas para baixo.',
  'setUp.second': 'Quem anuncia pega um segundo baralho, virado para baixo, sem valetes, damas e reis.',
  'turn.call': 'Quem anuncia vira uma carta e diz o número, por exemplo “{number}”.',
  'turn.all': 'Virem todos os {number} da sua grade.',
  'turn.fullest': 'Virem um {number} da sua grade: o da linha com mais cartas viradas.',
  'turn.any': 'Virem um {number} da sua grade; escolham qual.',
  'turn.reading': 'Virem um {number} da sua grade: o primeiro que encontrarem, lendo de cima para baixo.',
  'turn.caller': 'Passem o monte depois de cada chamada: todos anunciam, um de cada vez.',
  'turn.check': 'Olhem as grades uns dos outros: todos acharam os seus?',
  'end.line': 'Quem tem {cards} cartas viradas em linha, na horizontal, vertical ou diagonal, terminou.',
  'end.full': 'Quem virou as {cards} cartas terminou.',
  'end.none': 'Se as cartas para anunciar acabarem antes, contem juntos as cartas viradas.',
  'easier.five': 'Usem só as cartas até {number} e mostrem a carta anunciada.',
  'harder.more': 'Quem anuncia diz o número que é {more} a mais; vocês viram a carta que era para ser.',
  'sideBySide.one': 'Ninguém precisa ganhar: ponham uma grade para todos e virem as cartas juntos.',
  'say.look': 'Segurem a carta anunciada ao lado da grade: “Há uma parecida com este {number}?”',
  'say.almost': '“Que número você quer que saia agora? Por quê?”',
  'play.call':
    'Quem anuncia diz {number}; {matches, plural, =0 {ninguém tem} one {# carta é virada} other {# cartas são viradas}}.',
  'play.finishes':
    'Quem anuncia diz {number}: participante {player} terminou, depois de {calls, plural, one {# chamada} other {# chamadas}}.',
  'play.look': '“Todos acharam os seus?”',
  'play.none': '“Ninguém tem. Que número você quer que saia?”',
  'play.show': '“Mostre a sua linha.”',
};
