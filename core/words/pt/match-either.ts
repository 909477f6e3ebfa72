import type { Messages } from '~/core/words/message';

export const matchEither: Messages = {
  name: 'Cor ou Número',
  goal: 'Ponham uma carta que combine na cor ou no número, de {from} a {to}.',
  'setUp.deal': 'Embaralhem as {cards} cartas e deem {hand} a cada participante.',
  'setUp.open': 'Ponham as suas cartas viradas para cima na sua frente, para que todos possam ajudar.',
  'setUp.closed': 'Segurem as suas cartas de modo que só vocês vejam.',
  'setUp.first': 'Ponham o resto virado para baixo no meio e virem uma carta ao lado.',
  'turn.lay': 'Ponham sobre a carta virada uma da mesma cor ou do mesmo número.',
  'turn.say': 'Digam o que combina: “{number} com {number}”, ou o nome da cor.',
  'turn.draw': 'Nada combina? Peguem uma carta do monte; se ela combinar, podem pôr.',
  'end.empty': 'O jogo termina quando uma mão fica vazia. Os outros mostram o que poderiam ter posto.',
  'easier.colour': 'Olhem só a cor.',
  'harder.next': 'Sobre um número também pode ir o seguinte, para cima ou para baixo.',
  'younger.same': 'Quem já passou dos {years} anos pode achar a carta igual à que vocês mostram.',
  'say.why': '“Por que esta carta serve? Há outra que também serve?”',
  'play.colour': 'Participante {player} põe um {number} da mesma cor.',
  'play.number': 'Participante {player} põe um {number} sobre o {number}.',
  'play.draws': 'Participante {player} não tem nada para o {number} e pega do monte.',
  'play.why': '“Por que serve?”',
  'play.look': '“Olhe primeiro a cor, depois o número.”',
};
