import type { Messages } from '~/core/words/message';

export const listenAndMove: Messages = {
  name: 'Escucha y muévete',
  goal: 'Escuchen las palabras acordadas, luego muévanse y cuenten, hasta {most}.',
  'setUp.words': 'Pónganse de acuerdo en las palabras que dan la señal, por ejemplo «la marea dice».',
  'setUp.room': 'Párense donde cada quien pueda estirar los dos brazos.',
  'turn.call': 'Quien dirige dice un movimiento con una cantidad: «La marea dice {count} saltitos».',
  'turn.move': 'Todos se mueven y cuentan en voz alta, y paran justo después del último número.',
  'turn.silent': 'Sin las palabras acordadas nadie se mueve: quedarse quieto es lo correcto.',
  'turn.leader': 'Después de unas cuantas veces dirige otra persona.',
  'end.calls': 'Terminen después de unas {calls} veces, estirándose despacio.',
  'easier.show': 'Quien dirige se mueve también y cuenta con todos.',
  'harder.more': 'Hagan {more} más de lo que se dijo.',
  'sideBySide.nobody': 'Nadie queda fuera: quien se movió por error se ríe y dirige la siguiente.',
  'younger.copy': 'Si hay alguien más pequeño en casa, mayor de {years} años, imita los movimientos.',
  'atHome.anywhere':
    'No hace falta nada: al esperar, en el camino, o antes de dormir con movimientos pequeños.',
  'say.slow': '«Primero escucha, luego muévete». Díganlo despacio y en voz baja.',
  'say.count': '«¿Cómo supiste cuándo parar? Contaste hasta {count}».',
  'caution.space':
    'Quiten del piso juguetes y tapetes que resbalen; no salten cerca de escaleras, estufas o ventanas.',
  'play.call':
    'Participante {player} da la señal: {move, select, hops {{count, plural, one {# saltito} other {# saltitos}}} claps {{count, plural, one {# palmada} other {# palmadas}}} steps {{count, plural, one {# paso} other {# pasos}}} turns {{count, plural, one {# vuelta} other {# vueltas}}} nods {{count, plural, one {digan que sí con la cabeza # vez} other {digan que sí con la cabeza # veces}}} other {{count, plural, one {# pisada fuerte} other {# pisadas fuertes}}}}.',
  'play.silent':
    'Participante {player} no da la señal: {move, select, hops {{count, plural, one {# saltito} other {# saltitos}}} claps {{count, plural, one {# palmada} other {# palmadas}}} steps {{count, plural, one {# paso} other {# pasos}}} turns {{count, plural, one {# vuelta} other {# vueltas}}} nods {{count, plural, one {digan que sí con la cabeza # vez} other {digan que sí con la cabeza # veces}}} other {{count, plural, one {# pisada fuerte} other {# pisadas fuertes}}}}. Nadie se mueve.',
  'play.aloud': '«Cuenten en voz alta y paren juntos».',
  'play.stood': '«No te moviste: escuchaste».',
};
