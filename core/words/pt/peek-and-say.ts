import type { Messages } from '~/core/words/message';

export const peekAndSay: Messages = {
  name: 'Olhe e Diga',
  goal: 'Uma olhada curta, depois coberto: quantos havia? Até {max}.',
  'setUp.cards': 'Embaralhem os {cards} cartões de pontinhos e ponham virados para baixo.',
  'setUp.cover': 'Deixem o pano pronto, ou a mão.',
  'setUp.shield': 'Cortem um lado de uma caixa de cereal: é o escudo que esconde o cartão.',
  'turn.show':
    'Digam “Atenção, olhem” e mostrem um cartão por {seconds, plural, one {# segundo} other {# segundos}}: contem devagar de cabeça.',
  'turn.cover': 'Cubram. Ninguém fala antes de estar coberto.',
  'turn.say': 'Perguntem: “Quantos você viu?” Por exemplo: “{number}.”',
  'turn.sayTwo': 'Perguntem: “Quantos em cada grupo, e quantos ao todo?” Por exemplo: “{a} e {b}: {answer}.”',
  'turn.again': 'Em dúvida? Olhem mais uma vez, pelo mesmo tempo, e digam de novo.',
  'turn.writeTwo': 'Escrevam os dois números e a soma: {a}\u00a0+\u00a0{b}\u00a0=\u00a0{answer}.',
  'turn.look': 'Olhem de novo juntos. O cartão dá a resposta.',
  'turn.write': 'Escrevam o número.',
  'end.pile': 'Parem quando o monte acabar, ou quando os olhos cansarem.',
  'easier.longer': 'Deixem o cartão à vista até que a criança responda.',
  'harder.draw': 'Desenhem o que viram, na mesma posição, antes de olhar de novo.',
  'younger.fingers': 'Quem já passou dos {years} anos pode mostrar essa quantidade de dedos.',
  'atHome.beans': 'Sem cartões: ponham feijões em um prato e cubram o prato com uma tigela.',
  'say.fingers': 'Em dúvida? “Mostre com os dedos o que você viu.” Depois olhem de novo: há {number}?',
  'say.saw': 'Veio só um grupo? “Você viu {a} de um lado. O que havia do outro?”',
  'play.one': 'Participante {player} olha e diz {number}.',
  'play.two': 'Participante {player} olha e diz: {a} e {b}, {answer} ao todo.',
  'play.how': '“Como você viu tão depressa?”',
  'play.part': '“Você viu {a}. E o resto?”',
};
