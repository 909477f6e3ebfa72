import type { Messages } from '~/core/words/message';

export const spotMyShape: Messages = {
  name: 'Adivina mi figura',
  goal: 'Elijan una de las cosas a la vista, den pistas y dejen que los demás la encuentren: podrían ser unas {things}.',
  'setUp.choose': 'Elijan algo que todos puedan ver y no lo miren.',
  'turn.clue':
    '{shape, select, yes {{colour, select, yes {Den una pista por su forma o su color: «Veo algo redondo y rojo».} other {Den una pista por su forma: «Veo algo redondo».}}} other {Den una pista: «Veo algo del mismo color que el pasto».}}',
  'turn.number': 'O por un número: «Tiene {corners} esquinas».',
  'turn.guess': 'Los demás adivinan, uno tras otro, y dicen por qué puede ser.',
  'turn.hint': '¿No sale? Den una pista más.',
  'end.found': 'Quien la encuentra elige la siguiente cosa. Terminen después de unas {rounds} adivinanzas.',
  'easier.two': 'Señalen dos cosas: ¿cuál de las dos es?',
  'harder.not': 'Digan lo que no es: «No tiene esquinas».',
  'sideBySide.team':
    'No hace falta que alguien gane: todos adivinan juntos y se ponen de acuerdo en una respuesta.',
  'younger.point':
    'Si hay alguien más pequeño en casa, mayor de {years} años, puede señalar en vez de hablar.',
  'atHome.anywhere': 'No hace falta nada: en la mesa, en la parada del autobús, en una sala de espera.',
  'say.why': '«¿Cumple todas las pistas? ¿Cuál no cumple?»',
  'play.found':
    'Participante {player} da {told, plural, one {# pista} other {# pistas}}, empezando por {clue, select, shape {la forma} number {un número} other {el color}}: la encuentran.',
  'play.hint':
    'Participante {player} da {told, plural, one {# pista} other {# pistas}}, empezando por {clue, select, shape {la forma} number {un número} other {el color}}: todavía hay {left} cosas posibles, así que da otra pista.',
  'play.how': '«¿Qué pista te lo dijo?»',
  'play.more': '«¿Qué más podrías decir de eso?»',
};
