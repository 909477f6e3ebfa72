import type { Messages } from '~/core/words/message';

export const doughDots: Messages = {
  name: 'Bolitas de masa',
  goal: 'Hagan bolitas de masa, aplasten algunas y vean cuántas quedan: hasta {max}.',
  'setUp.dough': 'Pongan la masa en una charola o en papel para hornear.',
  'setUp.cards': 'Revuelvan las {cards} tarjetas y pónganlas boca abajo.',
  'turn.make': 'Volteen una tarjeta. Hagan tantas bolitas como dice el primer número: {a}, por ejemplo.',
  'turn.squash': 'Aplasten tantas como dice el segundo número: {b}.',
  'turn.say': 'Díganlo: «{a} menos {b} son {answer}».',
  'turn.draw': 'Dibujen las bolitas y tachen las aplastadas.',
  'turn.write': 'Cuando dibujar ya sea fácil, escríbanlo: {a}\u00a0−\u00a0{b}\u00a0=\u00a0{answer}.',
  'end.cards':
    'Terminen después de {cards, plural, one {# tarjeta} other {# tarjetas}} y cierren bien la caja.',
  'easier.five': 'Usen solo tarjetas con un primer número hasta {number}.',
  'harder.back':
    'Vuelvan a hacer bolitas con las aplastadas. Sumen {b} a lo que queda y vuelven a tener {a}.',
  'younger.balls':
    'Si hay alguien más pequeño en casa, mayor de {years} años, puede hacer las bolitas y aplastarlas.',
  'say.left': '«¿Cuántas siguen redondas? ¿Cuántas están planas? ¿Cuántas son en total?»',
  'caution.dough':
    'Muchas masas llevan trigo: avisen en la escuela si alguien en casa debe evitarlo. Lávense las manos al terminar; la masa no se come.',
  'play.squash':
    'Participante {player} hace {a, plural, one {# bolita} other {# bolitas}} y aplasta {b}: {answer, plural, one {queda #} other {quedan #}}.',
  'play.none': '«Todas planas. ¿Cuántas quedan?»',
  'play.all': '«Ninguna para aplastar. ¿Cuántas quedan?»',
  'play.left': '«¿Ves cuántas quedan sin contar?»',
};
