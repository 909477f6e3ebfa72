import type { Messages } from '~/core/words/message';

export const blanketBoard: Messages = {
  name: 'Cubra o Tabuleiro',
  goal: '{win, select, full {Tirem papeizinhos e cubram os seus números, até que um tabuleiro esteja coberto.} other {Tirem papeizinhos e cubram os seus números, até que uma linha esteja coberta.}}',
  'setUp.boards':
    'Deem a cada criança {boards, plural, one {# tabuleiro} other {# tabuleiros}} e {cells} fichinhas para cada tabuleiro. Leiam os números juntos.',
  'setUp.blank':
    'Cada criança escreve {cells} números diferentes de {from} a {to} em {boards, plural, one {seu tabuleiro em branco} other {cada um dos # tabuleiros em branco}} e pega {cells} fichinhas para cada tabuleiro.',
  'setUp.slips': 'Dobrem os {slips} papeizinhos ou ponham virados para baixo em uma tigela.',
  'turn.draw': 'Tirem um papelzinho, digam o número e contem os pontinhos: “{number}”.',
  'turn.cover': 'Quem tem {number} no tabuleiro cobre com uma fichinha.',
  'turn.view': 'Deixem o papelzinho à vista, para que ninguém precise lembrar.',
  'end.full': 'O primeiro tabuleiro com as {cells} casas cobertas terminou.',
  'end.line': 'O primeiro tabuleiro com uma linha coberta, na horizontal, vertical ou diagonal, terminou.',
  'end.on': 'Continuem até que todos os tabuleiros terminem: todos chegam lá.',
  'easier.beside': 'Segurem o papelzinho ao lado do tabuleiro: “Há um parecido com este?”',
  'harder.dots': 'Mostrem só os pontinhos do papelzinho e cubram o numeral.',
  'sideBySide.one': 'Ninguém precisa ganhar: ponham todos os tabuleiros juntos e cubram como uma equipe.',
  'younger.cover':
    'Quem já passou dos {years} anos pode tirar os papeizinhos e pôr as fichinhas onde vocês apontam.',
  'say.looks': '“Em dúvida? Vamos pôr o papelzinho ao lado. São iguais?”',
  'say.missing': '“Que números você ainda está esperando?”',
  'play.slip':
    'O papelzinho diz {number}; {covered, plural, =0 {nenhum tabuleiro tem} one {# tabuleiro tem} other {# tabuleiros têm}}.',
  'play.full':
    'O papelzinho diz {number}: o tabuleiro de participante {player} terminou, depois de {calls} papeizinhos.',
  'play.look': '“Há um parecido com este?”',
  'play.keep': '“Ninguém precisa. Deixe onde a gente possa ver.”',
  'play.read': '“Leia os seus números para a gente.”',
};
