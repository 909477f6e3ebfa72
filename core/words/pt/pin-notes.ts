import type { Messages } from '~/core/words/message';

export const pinNotes: Messages = {
  name: 'Boliche de Contas',
  goal: 'Rolem a bola em {pins} pinos: quantos caem, quantos ficam de pé?',
  'setUp.pins': 'Ponham {pins} pinos bem juntos no chão, longe de lâmpadas e degraus.',
  'setUp.line': 'Ponham um barbante a três passos: rolem de trás dele.',
  'turn.roll': 'Rolem a bola na direção dos pinos.',
  'turn.count': 'Contem os que caíram: {down} de {pins}, por exemplo.',
  'turn.say': 'Digam: “{pins} menos {down} é {answer}.” Olhem: há {answer} de pé?',
  'turn.draw': 'Desenhem os pinos e risquem os que caíram.',
  'turn.write':
    'Quando desenhar ficar fácil, escrevam na tira: {pins}\u00a0−\u00a0{down}\u00a0=\u00a0{answer}.',
  'end.card':
    'Ponham todos os pinos de pé de novo depois de cada vez. Uma tira fica cheia depois de {rolls, plural, one {# jogada} other {# jogadas}}.',
  'easier.near': 'Cheguem um passo mais perto e usem menos pinos.',
  'harder.before':
    'Fechem os olhos enquanto os outros jogam. Eles dizem quantos ficaram de pé: quantos caíram?',
  'sideBySide.together':
    'Ninguém precisa ganhar: encham uma tira juntos e procurem uma jogada que ainda falta.',
  'younger.sets': 'Quem já passou dos {years} anos pode pôr os pinos de pé e contar.',
  'atHome.tubes':
    'Não há pinos? {pins} tubos de papel ou garrafas plásticas vazias, e um par de meias enrolado.',
  'say.standing': '“Quantos estão de pé? Quantos estão deitados? Quantos ao todo?”',
  'play.roll': 'Participante {player} derruba {down} de {pins}: ficam {answer} de pé.',
  'play.none': '“Nenhum caiu. Como escrevemos isso?”',
  'play.all': '“Todos. O que sobra?”',
  'play.standing': '“Daria para saber sem contar os que estão de pé?”',
};
