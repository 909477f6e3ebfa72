import type { Messages } from '~/core/words/message';

export const storyPond: Messages = {
  name: 'Lagoa de Histórias',
  goal: 'Dois tipos de bichinhos se encontram na lagoa: quantos ao todo? Até {max}.',
  'setUp.pond': 'Ponham o tapete com a lagoa na mesa e separem os bichinhos por tipo.',
  'setUp.cards': 'Embaralhem os {cards} cartões e ponham virados para baixo.',
  'turn.card': 'Virem um cartão: ele diz quantos de cada tipo, por exemplo {a} e {b}.',
  'turn.lay': 'Ponham na lagoa: {a} de um tipo, {b} do outro.',
  'turn.tell': 'Contem uma historinha: quem estava lá primeiro, e quem veio nadando?',
  'turn.all': 'Quantos ao todo? “{a} e {b} são {answer}.”',
  'turn.tile': 'Ponham o cartão de número ao lado da lagoa: {answer}.',
  'turn.write': 'Escrevam o número no tapete: {answer}. Apaguem com o pano para a próxima história.',
  'end.stories':
    'Parem depois de {stories, plural, one {# história} other {# histórias}}. Todos os bichinhos vão para casa.',
  'easier.one': 'Joguem só com um tipo de bichinho e contem.',
  'harder.leave': 'Deixem alguns nadar embora: quantos ficam?',
  'atHome.blue': 'Uma toalha azul também é uma lagoa, com dois tipos de botões ou feijões.',
  'say.kinds': 'Contou só um tipo? “Destes você contou {a}. E os outros?”',
  'play.story': 'Participante {player} põe {a} e {b} na lagoa: {answer} ao todo.',
  'play.tell': '“Quem chegou primeiro? Quem veio depois?”',
  'play.part': '“Destes você vê {a}. E os outros?”',
};
