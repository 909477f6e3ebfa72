import type { Messages } from '~/core/words/message';

export const clapACount: Messages = {
  name: 'Palmas que Contam',
  goal: 'Batam palmas e batidas em um ritmo e contem em saltos de {unit}, até {end}.',
  'setUp.sit': 'Sentem-se de frente um para o outro, com as mãos nos joelhos.',
  'turn.beat':
    'Batam nos joelhos {pats, plural, one {uma vez} other {# vezes}}, depois uma palma: isso é um grupo de {unit}.',
  'turn.say': 'Digam cada batida baixinho e a palma em voz alta: {a}, {b}, {c} …',
  'turn.on': 'Continuem até {end}: {groups} grupos de {unit}.',
  'turn.swap': 'Da próxima vez outra pessoa inventa um ritmo: girar as mãos, tocar a cabeça, bater o pé.',
  'end.patterns': 'Parem depois de {patterns, plural, one {# ritmo} other {# ritmos}}, com um bem lento.',
  'easier.slow': 'Digam cada batida em voz alta, devagar.',
  'harder.back': 'Comecem no {end} e contem para trás.',
  'sideBySide.circle': 'Sentem-se em roda: uma batida cada um, dando a volta.',
  'younger.clap': 'Quem já passou dos {years} anos bate palmas nas batidas fortes.',
  'atHome.anywhere': 'Só precisa das mãos: no carro, no banho, na espera.',
  'say.many': '“Quantas palmas? Cada palma vale {unit}. E depois de {groups} palmas?”',
  'play.pattern': 'Participante {player} puxa um ritmo de {unit}: {spoken}.',
  'play.groups': '“Quantos grupos de {unit} foram? {groups}.”',
  'play.next': '“O que viria depois de {end}? {unit} a mais.”',
};
