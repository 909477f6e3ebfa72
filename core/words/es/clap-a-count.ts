import type { Messages } from '~/core/words/message';

export const clapACount: Messages = {
  name: 'Cuenta con palmas',
  goal: 'Den palmadas con un ritmo y cuenten con saltos de {unit}, hasta {end}.',
  'setUp.sit': 'Siéntense frente a frente, con las manos en las rodillas.',
  'turn.beat':
    'Den {pats, plural, one {un golpecito} other {# golpecitos}} en las rodillas y luego una palmada: eso es un grupo de {unit}.',
  'turn.say': 'Digan cada golpe en voz baja y la palmada en voz alta: {a}, {b}, {c} …',
  'turn.on': 'Sigan hasta {end}: {groups} grupos de {unit}.',
  'turn.swap':
    'La próxima vez otra persona inventa un ritmo: girar las manos, tocarse la cabeza, dar pisadas fuertes.',
  'end.patterns':
    'Terminen después de {patterns, plural, one {# ritmo} other {# ritmos}}, con uno muy lento.',
  'easier.slow': 'Digan cada golpe en voz alta, despacio.',
  'harder.back': 'Empiecen en {end} y cuenten hacia atrás.',
  'sideBySide.circle': 'Siéntense en círculo: un golpe cada quien, dando la vuelta.',
  'younger.clap': 'Si hay alguien más pequeño en casa, mayor de {years} años, acompaña las palmadas fuertes.',
  'atHome.anywhere': 'Solo hacen falta las manos: en el coche, en el baño, al esperar.',
  'say.many': '«¿Cuántas palmadas? Cada palmada vale {unit}. ¿Y después de {groups} palmadas?»',
  'play.pattern': 'Participante {player} dirige un ritmo de {unit}: {spoken}.',
  'play.groups': '«¿Cuántos grupos de {unit} fueron? {groups}».',
  'play.next': '«¿Qué vendría después de {end}? {unit} más».',
};
