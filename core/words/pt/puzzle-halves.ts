import type { Messages } from '~/core/words/message';

export const puzzleHalves: Messages = {
  name: 'Metades que Encaixam',
  goal: 'Achem os dois desenhos e o número que se encaixam: respostas até {max}.',
  'setUp.sort':
    'Desmontem os {puzzles} quebra-cabeças e separem as peças: desenhos da esquerda, desenhos da direita, números.',
  'setUp.spread': 'Espalhem as peças, viradas para cima.',
  'turn.take': 'Peguem um desenho da esquerda.',
  'turn.count': 'Achem um desenho da direita que encaixe e contem os dois: {a} e {b}, por exemplo.',
  'turn.answer': 'Achem o número que vai entre eles: “{a} e {b} são {answer}.”',
  'turn.check': 'Juntem as peças. Se as ondas encaixam, está certo: ninguém precisa dizer.',
  'end.all': 'Parem quando os {puzzles} quebra-cabeças estiverem montados.',
  'easier.few': 'Comecem com as peças de {puzzles} quebra-cabeças.',
  'harder.cover': 'Ponham as peças viradas para cima, mas digam a resposta antes de procurar.',
  'younger.picture': 'Quem já passou dos {years} anos pode juntar as peças pelas ondas.',
  'atHome.card': 'Cortem cartões em três com as suas próprias ondas e desenhem pontinhos dos dois lados.',
  'say.cut': '“Experimente: as ondas encaixam? Depois conte de novo.”',
  'play.fits': 'Participante {player} encaixa {a} e {b} no {answer}.',
  'play.cut': '“As ondas encaixam?”',
  'play.how': '“Como você soube que número procurar?”',
};
