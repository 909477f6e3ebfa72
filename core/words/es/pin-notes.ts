import type { Messages } from '~/core/words/message';

export const pinNotes: Messages = {
  name: 'Apuntes de pinos',
  goal: 'Rueden la pelota hacia {pins} pinos: ¿cuántos caen y cuántos quedan de pie?',
  'setUp.pins': 'Pongan {pins} pinos juntos en el piso, lejos de lámparas y escalones.',
  'setUp.line': 'Pongan un cordón a tres pasos: se rueda desde atrás de él.',
  'turn.roll': 'Rueden la pelota hacia los pinos.',
  'turn.count': 'Cuenten los que cayeron: {down} de {pins}, por ejemplo.',
  'turn.say': 'Díganlo: «{pins} menos {down} son {answer}». Miren: ¿hay {answer} de pie?',
  'turn.draw': 'Dibujen los pinos y tachen los que cayeron.',
  'turn.write':
    'Cuando dibujar ya sea fácil, escríbanlo en la tira: {pins}\u00a0−\u00a0{down}\u00a0=\u00a0{answer}.',
  'end.card':
    'Pongan todos los pinos de pie después de cada tirada. La tira se llena con {rolls, plural, one {# tirada} other {# tiradas}}.',
  'easier.near': 'Acérquense un paso y usen menos pinos.',
  'harder.before':
    'Cierren los ojos mientras los demás ruedan. Les dicen cuántos quedan de pie: ¿cuántos cayeron?',
  'sideBySide.together':
    'No hace falta que alguien gane: llenen juntos una tira y busquen una tirada que todavía falte.',
  'younger.sets':
    'Si hay alguien más pequeño en casa, mayor de {years} años, puede poner los pinos de pie y contarlos.',
  'atHome.tubes':
    '¿No hay pinos? {pins} tubos de papel o botellas de plástico vacías, y un par de calcetines enrollados.',
  'say.standing': '«¿Cuántos están de pie? ¿Cuántos están tirados? ¿Cuántos son en total?»',
  'play.roll': 'Participante {player} tira {down} de {pins}: quedan {answer} de pie.',
  'play.none': '«No cayó ninguno. ¿Cómo lo escribimos?»',
  'play.all': '«Todos. ¿Qué queda?»',
  'play.standing': '«¿Podrías saberlo sin contar los que están de pie?»',
};
