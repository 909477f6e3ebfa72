import type { Messages } from '~/core/words/message';

export const pebbleCourt: Messages = {
  name: 'Pátio das Pedrinhas',
  goal: 'Joguem uma pedra, pulem o pátio, digam todos os números: de um a {cells}.',
  'setUp.chalk': 'Desenhem com giz o pátio com {cells} casas e ponham os números.',
  'setUp.tape': 'Façam com fita no chão o pátio com {cells} casas e ponham os números em papel.',
  'setUp.paper': 'Ponham na mesa o pátio com as suas {cells} casas: dois dedos são as pernas.',
  'setUp.growChalk':
    'Desenhem com giz as primeiras {first} casas do pátio no meio de um lugar livre, uma depois da outra, e ponham os números.',
  'setUp.growTape':
    'Façam com fita as primeiras {first} casas do pátio no meio do chão, uma depois da outra, e ponham os números em papel.',
  'setUp.growPaper':
    'Ponham o pátio na mesa: dois dedos são as pernas. Só as primeiras {first} casas têm número.',
  'setUp.stones': 'Cada um procura uma pedra chata, ou pega uma da sacola.',
  'turn.throw':
    'Joguem a pedra na próxima casa, começando pela primeira. Caiu fora? É a vez da próxima pessoa.',
  'turn.flick':
    'Da borda da folha, deem um peteleco na pedra até a próxima casa, começando pela primeira. Caiu fora? É a vez da próxima pessoa.',
  'turn.hop': 'Pulem de casa em casa com um pé só, por cima da casa com a pedra.',
  'turn.branching':
    'Um pé nas casas sozinhas, os dois pés onde há duas lado a lado; por cima da casa com a pedra.',
  'turn.hopBoth': 'Pulem de casa em casa com os dois pés, por cima da casa com a pedra.',
  'turn.line': 'Pisou na linha? A vez acabou; comecem dali na próxima.',
  'turn.rest':
    'Marquem {rest, plural, one {# casa de descanso} other {# casas de descanso}} com uma estrela: ali podem ficar com os dois pés.',
  'turn.grow': 'Quem chega ao último número põe o próximo ao lado, em volta e em volta, até {cells}.',
  'turn.write': 'Quem chega ao último número escreve o próximo na casa com o lápis, até {cells}.',
  'turn.say': 'Digam cada número ao pisar.',
  'turn.back': 'No fim deem meia-volta, voltem contando para trás e peguem a pedra.',
  'end.last':
    'O jogo termina quando alguém pulou com a pedra na casa {cells}. Continuem até que todos consigam.',
  'easier.lay': 'Ponham a pedra na casa em vez de jogar.',
  'easier.feet': 'Pulem com os dois pés e ponham a pedra em vez de jogar.',
  'harder.twos': 'Pisem só em uma casa sim, uma não, e contem em saltos de {step}.',
  'sideBySide.relay': 'Ninguém precisa ganhar: uma pedra para todos, e cada um pula a próxima casa.',
  'younger.walks': 'Quem já passou dos {years} anos pode andar pelo pátio e dizer os números com vocês.',
  'atHome.tape': 'Em dia de chuva: fita no chão, ou o pátio impresso na mesa com dois dedos.',
  'say.where': '“Onde está a sua pedra? Por cima de que número você pula?”',
  'say.before': '“Que número vem logo antes?”',
  'play.hops': 'Participante {player} acerta a pedra na casa {cell} e pula ida e volta.',
  'play.misses': 'Participante {player} joga fora da casa {cell}; é a vez da próxima pessoa.',
  'play.next': '“Que número vem agora?”',
  'play.aim': '“Mais baixo e mais devagar. Na próxima você consegue.”',
};
