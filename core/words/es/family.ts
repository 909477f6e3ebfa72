import type { Messages } from '~/core/words/message';

export const family: Messages = {
  'part.setUp': 'Para empezar',
  'part.turn': 'A jugar',
  'part.end': 'Para terminar',
  'part.easier': 'Más fácil',
  'part.harder': 'Más difícil',
  'part.sideBySide': 'Todos juntos',
  'part.younger': 'Los más pequeños',
  'part.atHome': 'Con cosas de casa',
  'part.say': 'Lo que pueden decir',
  'part.hear': 'Lo que pueden oír',
  'hear.count':
    '«Uno, dos, cuatro»: se salta un número. Cuenten otra vez todos juntos, tocando cada cosa una vez.',
  'hear.quantity':
    'Cuenta siempre desde uno: el número escrito todavía es nuevo. Digan cómo se llama y muestren esa cantidad de dedos.',
  'hear.glance':
    'Cuenta puntos que se podrían ver de una vez: así se empieza. Muestren menos, y por menos tiempo.',
  'hear.add':
    '«Uno, dos, tres» desde el principio, para {a} y {b}: cuenta todo otra vez. «Ya hay {a}. ¿Qué número sigue?»',
  'hear.split': '«{a}», y nada más: ve una parte, todavía no las dos. Tápenla: «¿Y cuántas hay aquí?»',
  'hear.missing': '«{b}», cuando hay {a}: dice el total. «¿Cuántas faltan para que sean {b}?»',
  'hear.subtract':
    '«{wrong}» para {a} menos {b}: contó hacia atrás desde el mismo {a}. Quiten las piezas una por una y luego miren.',
  'hear.multiply':
    '«{wrong}» para {a} grupos de {b}: sumó los dos números. Formen los grupos y cuenten todo.',
  'hear.divide': '«No se puede»: repartan {a} piezas en {b} grupos, una para cada uno por turnos.',
  'hear.compare':
    'Llama mayor a la fila que se ve más larga. Pónganlas lado a lado, pieza por pieza: ¿a cuál le sobran?',
  'hear.tens':
    '«{wrong}» para {a, plural, one {# decena} other {# decenas}} y {b, plural, one {# unidad} other {# unidades}}: cambiaron de lugar. Constrúyanlo: ¿cuántas decenas y cuántas más?',
  'hear.letter': 'Confunde letras que son espejo una de otra: sigan las dos con un dedo, lado a lado.',
  'hear.listen':
    'Sigue después de la palabra para parar: esperar cuesta. Vayan más despacio y sonrían en cada alto.',
  'place.table': 'En la mesa',
  'place.floor': 'En el piso',
  'place.outdoors': 'Afuera',
  'place.rainyDay': 'En un día de lluvia',
  'place.car': 'En el auto, sin piezas',
  'place.video': 'Por videollamada',
  inTheCar: 'En el auto: alguien dice los números en voz alta, sin piezas; otra persona dice el resultado.',
  'lacks.toldAnew':
    'Faltan algunas piezas de este juego en la bolsa. Aquí se explica para jugarlo con lo que hay.',
  'lacks.rests':
    'Faltan algunas piezas de este juego en la bolsa, así que por ahora descansa. Jueguen otro, o usen lo que lo reemplaza en casa.',
  edible:
    'Frijoles y pasta: cuidado con las alergias, y lejos de menores de {years} años si no hay una persona adulta a su lado.',
  reachUs: 'Cómo comunicarse con nosotros: {contact}',
  'part.caution': 'Cuidado',
  'show.pieces': 'con piezas',
  'show.drawing': 'dibujando',
  'show.symbols': 'con números',
  inBag: 'En la bolsa',
  inPlace: '{part} en lugar de {usual}',
  standIn: '{part}: o bien {standIn}',
  unchecked: 'Texto aún no revisado por una persona que domine el idioma.',
  minutes: 'Unos {minutes, plural, one {# minuto} other {# minutos}}',
  players: '{players, plural, one {# participante} other {# participantes}}',
  scan: 'Escaneen el cuadro con el teléfono y cuéntennos cómo les fue:',
  smallParts: 'Piezas pequeñas: no aptas para menores de {years} años.',
  backToSchool:
    'Por favor, cuenten las piezas al guardarlas. Si algo se pierde o se rompe, avísennos; suele pasar.',
  language: 'Idioma',
  tell: '¿Cómo les fue?',
  tellWhy:
    'Su respuesta nos ayuda a elegir la próxima canasta. No hace falta ningún nombre; dejen en blanco lo que quieran.',
  children: '¿Cuántos niños y niñas jugaron?',
  grownUps: '¿Cuántas personas adultas jugaron?',
  times: '¿Cuántas veces jugaron?',
  minutesEach: '¿Como cuántos minutos cada vez?',
  level: 'Para los niños y niñas fue',
  'level.tooEasy': 'demasiado fácil',
  'level.justRight': 'ni fácil ni difícil',
  'level.tooHard': 'demasiado difícil',
  childDid: '¿Qué hicieron o dijeron los niños y niñas?',
  missing: '¿Faltaba algo o estaba roto?',
  anythingElse: '¿Algo más?',
  send: 'Enviar la respuesta',
  thanks: 'Gracias',
  thanksWhy: 'Su respuesta ha llegado a la escuela.',
  backToGame: 'Volver al juego',
  listen: 'Escuchar',
  stopListening: 'Parar',
  saidAloud: 'Leído en voz alta por una persona que habla este idioma',
  'refuse.notOut':
    'Esta canasta ya está en la escuela, así que no hay nada que contestar. Aquí se puede seguir leyendo el juego.',
  'refuse.others':
    'Esta página se abrió cuando ustedes tenían esta canasta. Ahora la tiene otra familia, así que aquí no hay nada que contestar.',
  haveItNow: 'Ahora tenemos esta canasta',
  'refuse.busy': 'Demasiadas visitas en poco tiempo. Por favor, esperen unos minutos e inténtenlo de nuevo.',
  'refuse.unknown':
    'Este enlace no es de ninguna canasta. Por favor, escaneen otra vez el cuadro de la etiqueta o pregunten en la escuela.',
  'error.anew':
    'La respuesta todavía no se envió. Por favor abran esta página de nuevo y envíenla otra vez; lo que escribieron sigue aquí.',
  'error.number': 'Por favor, escriban un número de {from} a {to}, o déjenlo en blanco.',
  'error.long': 'Aquí caben {limit} caracteres.',
  'error.choice': 'Por favor, elijan una de las respuestas.',
  'error.empty': 'Por favor, contesten al menos una pregunta.',
  'error.top':
    'La respuesta aún no se ha enviado. Lo que escribieron sigue aquí; por favor, miren los lugares marcados.',
  optional: 'se puede dejar en blanco',
  skip: 'Ir al juego',
};
