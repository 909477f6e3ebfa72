import type { Messages } from '~/core/words/message';

export const listenAndMove: Messages = {
  name: 'Ouça e Mexa',
  goal: 'Ouçam as palavras combinadas, depois mexam-se e contem, até {most}.',
  'setUp.words': 'Combinem as palavras que começam um movimento, como “a maré manda”.',
  'setUp.room': 'Fiquem onde todos possam esticar os dois braços.',
  'turn.call': 'Quem comanda diz um movimento com uma quantidade: “A maré manda {count} pulinhos.”',
  'turn.move': 'Todos se mexem e contam em voz alta, e param logo depois do último número.',
  'turn.silent': 'Sem as palavras combinadas, ninguém se mexe: ficar parado é o certo.',
  'turn.leader': 'Depois de alguns comandos, outra pessoa comanda.',
  'end.calls': 'Parem depois de uns {calls} comandos, com partes lentas no meio.',
  'easier.show': 'Quem comanda faz junto e conta com todos.',
  'harder.more': 'Façam {more} a mais do que foi dito.',
  'sideBySide.nobody': 'Ninguém sai do jogo: quem se mexeu sem querer dá risada e dá o próximo comando.',
  'younger.copy': 'Quem já passou dos {years} anos imita os movimentos.',
  'atHome.anywhere': 'Não precisa de nada: na espera, no caminho, antes de dormir com movimentos pequenos.',
  'say.slow': '“Primeiro ouça, depois mexa.” Digam devagar e baixinho.',
  'say.count': '“Como você soube quando parar? Você contou até {count}.”',
  'caution.space':
    'Tirem do chão brinquedos e tapetes que escorregam; nada de pular perto de escadas, fogões ou janelas.',
  'play.call':
    'Participante {player} comanda com as palavras: {move, select, hops {{count, plural, one {# pulo} other {# pulos}}} claps {{count, plural, one {# palma} other {# palmas}}} steps {{count, plural, one {# passo} other {# passos}}} turns {{count, plural, one {# volta} other {# voltas}}} nods {{count, plural, one {# sim com a cabeça} other {# vezes sim com a cabeça}}} other {{count, plural, one {# pisada forte} other {# pisadas fortes}}}}.',
  'play.silent':
    'Participante {player} comanda sem as palavras: {move, select, hops {{count, plural, one {# pulo} other {# pulos}}} claps {{count, plural, one {# palma} other {# palmas}}} steps {{count, plural, one {# passo} other {# passos}}} turns {{count, plural, one {# volta} other {# voltas}}} nods {{count, plural, one {# sim com a cabeça} other {# vezes sim com a cabeça}}} other {{count, plural, one {# pisada forte} other {# pisadas fortes}}}}. Ninguém se mexe.',
  'play.aloud': '“Contem em voz alta e parem juntos.”',
  'play.stood': '“Você não se mexeu: você ouviu.”',
};
