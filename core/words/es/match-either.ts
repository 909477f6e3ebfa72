import type { Messages } from '~/core/words/message';

export const matchEither: Messages = {
  name: 'Color o número',
  goal: 'Pongan una carta que coincida en color o en número, del {from} al {to}.',
  'setUp.deal': 'Revuelvan las {cards} cartas y den {hand} a cada participante.',
  'setUp.open': 'Pongan sus cartas boca arriba frente a ustedes, para que todos puedan ayudar.',
  'setUp.closed': 'Sostengan sus cartas de manera que solo ustedes las vean.',
  'setUp.first': 'Pongan el resto boca abajo en medio y volteen una carta al lado.',
  'turn.lay': 'Pongan una carta del mismo color o del mismo número sobre la carta volteada.',
  'turn.say': 'Digan qué coincide: «{number} con {number}», o el nombre del color.',
  'turn.draw': '¿Nada coincide? Roben una carta; si coincide, pueden ponerla.',
  'end.empty':
    'El juego termina cuando alguien se queda sin cartas. Los demás muestran qué podrían haber puesto después.',
  'easier.colour': 'Fíjense solo en el color.',
  'harder.next': 'A un número también le puede seguir el siguiente, hacia arriba o hacia abajo.',
  'younger.same':
    'Si hay alguien más pequeño en casa, mayor de {years} años, puede buscar la carta que se ve igual a la que ustedes señalan.',
  'say.why': '«¿Por qué se puede poner esta carta? ¿Hay otra que también se pueda poner?»',
  'play.colour': 'Participante {player} pone un {number} del mismo color.',
  'play.number': 'Participante {player} pone un {number} sobre el {number}.',
  'play.draws': 'Participante {player} no tiene nada para el {number} y toma una carta del montón.',
  'play.why': '«¿Por qué se puede poner?»',
  'play.look': '«Mira primero el color y luego el número».',
};
