import type { Messages } from '~/core/words/message';

export const fetchThatMany: Messages = {
  name: 'Vá Buscar Tantos',
  goal: 'Espiem um número, guardem na cabeça e tragam essa quantidade: até {to}.',
  'setUp.slips': 'Dobrem os {slips} papeizinhos e misturem.',
  'setUp.pile': 'Ponham {to} fichinhas em uma cadeira do outro lado do cômodo.',
  'setUp.around':
    'Combinem o que pode ser buscado: meias, colheres, brinquedos, livros; nada que quebre ou machuque.',
  'turn.peek': 'Tirem um papelzinho, espiem sem mostrar e deixem dobrado na mesa.',
  'turn.fetch': 'Vão e tragam essa quantidade. Digam o número para si mesmos no caminho.',
  'turn.lay': 'Ponham o que trouxeram em filas de {five}, para que se possa ler sem contar.',
  'turn.check': 'Os outros dizem quantos há. Abram o papelzinho: é o mesmo? Por exemplo {number}.',
  'turn.zero': 'Zero quer dizer: voltem sem nada.',
  'end.slips': 'Devolvam tudo depois de cada vez. Parem quando os papeizinhos acabarem.',
  'easier.keep': 'Levem o papelzinho aberto e ponham uma coisa sobre cada pontinho.',
  'harder.two': 'Tirem {slips} papeizinhos e tragam o que os dois dizem juntos.',
  'younger.dots': 'Quem já passou dos {years} anos pode pôr uma coisa sobre cada pontinho do papelzinho.',
  'atHome.things': 'Colheres, meias, botões ou pinhas: qualquer coisa de que haja bastante.',
  'say.remember': '“Diga o seu número a cada passo.”',
  'caution.fetch':
    'Nada quente, afiado, de vidro ou da prateleira de remédios. Dentro de casa andem, não corram.',
  'play.fetch': 'Participante {player} espia, vai e traz {number}.',
  'play.zero': 'Participante {player} espia, vai e volta com {number, plural, =0 {nada} other {#}}.',
  'play.fives': '“Primeiro uma fila de {five}. Quantos mais?”',
  'play.touch': '“Toque um por um. É o que o papelzinho diz?”',
};
