import type { Messages } from '~/core/words/message';

export const shared: Messages = {
  'caution.small':
    'Piezas pequeñas: manténganlas lejos de menores de {years} años. Al guardar, cuenten todo.',
  'caution.rest':
    'Terminen mientras todavía sea divertido. Con cansancio se aprende poco; mañana juegan otra vez.',
  'caution.floor':
    'Peguen todo al piso por los cuatro lados y jueguen sin calcetines o con zapatos: los calcetines resbalan.',
  'caution.outside':
    'Jueguen lejos de entradas de autos, autos estacionados y calles, con una persona adulta presente. Usen zapatos y miren dónde pisan.',
  'caution.throw':
    'Esperen a que no haya nadie donde van a lanzar. Rueden o lancen bajo, nunca hacia una persona.',
  'setUp.highest': 'Cada quien tira una vez: empieza quien saca más. ¿Es igual? Tiren otra vez.',
  'turn.lineHop':
    'Salten también en la recta numérica: empiecen en {a}, avancen {b} y lean dónde caen: {answer}.',
  'turn.lineBack':
    'Salten también en la recta numérica: empiecen en {a}, regresen {b} y lean dónde caen: {answer}.',
  'turn.lineCompare': 'Busquen los dos números en la recta numérica: el que está más adelante es mayor.',
  'say.check': '¿Hay dudas? «Vamos a tocar y contar cada una». Las piezas dan la respuesta.',
  'say.how': '«¿Cómo lo supiste?» Cualquier manera que funcione es buena.',
  'say.part': '¿Dijo solo una parte? Repitan lo que oyeron y pregunten: «¿Y lo demás?»',
  'sideBySide.team': 'No hace falta que alguien gane: pongan todo boca arriba y jueguen como un solo equipo.',
  'sideBySide.calm': 'Nadie tiene que ir rápido. Jueguen por turnos y dejen que cada quien termine su idea.',
  'younger.helper':
    'Si hay alguien más pequeño en casa, mayor de {years} años, puede voltear las cartas y decir qué tienen.',
  'younger.counts':
    'Si hay alguien más pequeño en casa, mayor de {years} años, puede contar las piezas en voz alta con ustedes.',
  'younger.rolls':
    'Si hay alguien más pequeño en casa, mayor de {years} años, puede tirar los dados y contar los puntos.',
  'atHome.paper': 'Sin las partes impresas: escriban los mismos números en papelitos.',
  'atHome.deck': '¿No hay baraja en casa? Escriban cada número en cuatro papelitos.',
  'atHome.dice': '¿No hay dados en casa? Volteen las cartas del as al seis de un solo color, una por una.',
  'play.check': '«Vamos a comprobarlo con las piezas».',
  'play.how': '«¿Cómo lo viste?»',
};
