import type { Messages } from '~/core/words/message';

export const answerHop: Messages = {
  name: 'Pulo da Resposta',
  goal: 'Pulem uma conta cuja resposta é um, depois dois, depois três, e assim por diante até {to}.',
  'setUp.cells':
    'Desenhem com giz uma calculadora: uma casa para cada um dos {digits} algarismos e uma para cada sinal: {signs} =',
  'setUp.start': 'Risquem uma linha de partida na frente. O primeiro alvo é um.',
  'turn.hop': 'Pulem uma conta cuja resposta é o alvo: {a}, {sign}, {b}, = para {target}.',
  'turn.say': 'Digam cada casa em voz alta ao pisar e anunciem a resposta no fim.',
  'turn.next': 'Certo? A próxima pessoa pula o próximo alvo. Ainda não? Os outros podem dar uma dica.',
  'end.to': 'Vocês terminam quando {to} tiver sido pulado.',
  'easier.any': 'Pulem qualquer conta; os outros dizem a resposta.',
  'harder.other': 'Nenhuma conta pode ser pulada duas vezes.',
  'sideBySide.relay': 'Ninguém precisa ganhar: pulem em revezamento, todos para os mesmos alvos.',
  'younger.digits': 'Quem já passou dos {years} anos pode pular até um número que vocês chamam.',
  'say.stuck': '“Você quer {target}. E se começar no {a}?”',
  'play.hops': 'Alvo {target}: participante {player} pula {a}\u00a0{sign}\u00a0{b}.',
  'play.other': '“Há {ways} jeitos de chegar a este. Que outro você conhece?”',
  'play.few': '“Este é difícil: só {ways, plural, one {# jeito} other {# jeitos}}. Bem procurado.”',
};
