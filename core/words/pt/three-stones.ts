import type { Messages } from '~/core/words/message';

export const threeStones: Messages = {
  name: 'Três Pedras',
  goal: '{sums, select, yes {Consigam primeiro três pedras em linha que formem {target}.} other {Consigam primeiro três das suas pedras em linha.}}',
  'setUp.table': 'Ponham entre vocês o tabuleiro de nove casas.',
  'setUp.floor': 'Façam com fita no chão um tabuleiro de nove casas, cada uma da largura de um passo.',
  'setUp.stones': 'Cada participante pega {stones} pedras com a mesma marca.',
  'turn.place': 'Um de cada vez, ponham uma pedra em uma casa livre.',
  'turn.toss': 'Um de cada vez, joguem uma pedra no tabuleiro a um passo de distância.',
  'turn.taken': 'Uma pedra em casa ocupada ou fora do tabuleiro está perdida neste jogo.',
  'turn.number': 'Digam o número da casa.',
  'turn.sum':
    'Uma linha só vale se os três números formam {target}: {a}\u00a0+\u00a0{b}\u00a0+\u00a0{c}, por exemplo. Toda linha forma {target}?',
  'turn.row':
    'Olhem na horizontal, na vertical e na diagonal: onde poderiam ficar {stones} das suas em linha?',
  'end.row': 'Quem tem {stones} em linha terminou. Comecem um de cada vez.',
  'end.sum': 'Quem tem uma linha que forma {target} diz a conta e terminou. Comecem um de cada vez.',
  'end.full': 'Ninguém? Então o tabuleiro venceu, e vocês jogam de novo.',
  'easier.open': 'Conversem juntos sobre cada jogada antes de pôr a pedra.',
  'harder.say': 'Digam de que casa precisam antes de jogar.',
  'sideBySide.pattern':
    'Ninguém precisa ganhar: encham o tabuleiro juntos de modo que nenhuma linha seja toda de uma marca.',
  'younger.stones': 'Quem já passou dos {years} anos pode distribuir as pedras e contar ao guardar.',
  'atHome.paper': 'Desenhem o tabuleiro no papel e peguem dois tipos de botões ou feijões.',
  'say.two': '“Aqui você tem duas. O que falta?”',
  'play.stone': 'Participante {player} põe uma pedra na casa {number}.',
  'play.number': 'Participante {player} pega o {number}.',
  'play.taken': 'Participante {player} cai no {number}, que está ocupado.',
  'play.row': 'Participante {player} tem três em linha (casas {numbers}).',
  'play.sum': 'Participante {player} tem uma linha: {numbers}.',
  'play.look': '“Onde uma linha pode crescer?”',
  'play.need': '“De que número você precisa agora?”',
  'play.again': '“Esse está ocupado. Mais de leve na próxima.”',
  'play.show': '“Mostre a linha para a gente.”',
};
