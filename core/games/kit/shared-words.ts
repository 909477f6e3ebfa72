/** Lines that several games say in the same words. A game names those it uses. */

const en = {
  'caution.small':
    'Small parts: keep them away from children under {years}. Count everything back into the bag.',
  'caution.rest': 'Stop while it is still fun. A tired child learns little; play again tomorrow.',
  'caution.floor': 'Tape everything down on all sides, and play in bare feet or shoes: socks slip.',
  'caution.outside':
    'Play away from driveways, parked cars and streets, with a grown-up there. Wear shoes, and look where you land.',
  'caution.throw': 'Wait until nobody stands where you throw or roll. Roll or toss low, never at a person.',
  'say.check': 'Not sure? “Let us touch and count each one.” The pieces give the answer.',
  'say.how': '“How did you know?” Any way that works is a good way.',
  'say.part': 'Only a part of the answer? Name what you heard, then ask: “And the rest?”',
  'sideBySide.team': 'No winner needed: play with everything in the open, all together against the game.',
  'sideBySide.calm': 'Nobody needs to be fast. Take turns, and let each child finish the thought.',
  'younger.helper': 'A younger brother or sister over {years} can turn the cards and say what is on them.',
  'younger.counts': 'A younger brother or sister over {years} can count the pieces out loud with you.',
  'younger.rolls': 'A younger brother or sister over {years} can roll the dice and count the dots.',
  'atHome.paper': 'Without the printed parts: write the same numbers on slips of paper.',
  'atHome.deck': 'No deck at home? Write each number on four slips of paper.',
  'atHome.dice': 'No dice at home? Turn the cards ace to six of one colour, one at a time.',
  'play.check': '“Let us check with the pieces.”',
  'play.how': '“How did you see that?”',
} as const;

export type SharedMessage = keyof typeof en;

// Register: "ustedes", to the whole family at the table; no line depends on who plays.
const es: Record<SharedMessage, string> = {
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
  'say.check': '¿Hay dudas? «Vamos a tocar y contar cada una». Las piezas dan la respuesta.',
  'say.how': '«¿Cómo lo supiste?» Cualquier manera que funcione es buena.',
  'say.part': '¿Dijo solo una parte? Repitan lo que oyeron y pregunten: «¿Y lo demás?»',
  'sideBySide.team':
    'No hace falta que alguien gane: jueguen con todo a la vista, todos juntos contra el juego.',
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

export const SHARED_WORDS: { en: Record<SharedMessage, string>; es: Record<SharedMessage, string> } = {
  en,
  es,
};
