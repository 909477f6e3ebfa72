/** Lines that several games say in the same words. A game names those it uses. */

export const SHARED = {
  id: 'shared',
  en: {
    'caution.small':
      'Small parts: keep them away from children under {years}. Count everything back into the bag.',
    'caution.rest': 'Stop while it is still fun. A tired child learns little; play again tomorrow.',
    'caution.floor': 'Tape everything down on all sides, and play in bare feet or shoes: socks slip.',
    'caution.outside':
      'Play away from driveways, parked cars and streets, with a grown-up there. Wear shoes, and look where you land.',
    'caution.throw': 'Wait until nobody stands where you throw or roll. Roll or toss low, never at a person.',
    'setUp.highest': 'Each player rolls once: whoever has most begins. The same? Roll again.',
    'turn.lineHop':
      'Hop it on the number line, too: begin at {a}, hop {b} on, and read where you land: {answer}.',
    'turn.lineBack':
      'Hop it on the number line, too: begin at {a}, hop {b} back, and read where you land: {answer}.',
    'turn.lineCompare': 'Find both numbers on the number line: the one further along is more.',
    'say.check': 'Not sure? “Let us touch and count each one.” The pieces give the answer.',
    'say.how': '“How did you know?” Any way that works is a good way.',
    'say.part': 'Only a part of the answer? Name what you heard, then ask: “And the rest?”',
    'sideBySide.team': 'No winner needed: put everything face up and work as one team.',
    'sideBySide.calm': 'Nobody needs to be fast. Take turns, and let each child finish the thought.',
    'younger.helper': 'A younger brother or sister over {years} can turn the cards and say what is on them.',
    'younger.counts': 'A younger brother or sister over {years} can count the pieces out loud with you.',
    'younger.rolls': 'A younger brother or sister over {years} can roll the dice and count the dots.',
    'atHome.paper': 'Without the printed parts: write the same numbers on slips of paper.',
    'atHome.deck': 'No deck at home? Write each number on four slips of paper.',
    'atHome.dice': 'No dice at home? Turn the cards ace to six of one color, one at a time.',
    'play.check': '“Let us check with the pieces.”',
    'play.how': '“How did you see that?”',
  },
} as const;

export type SharedMessage = keyof typeof SHARED.en;

/** The shared lines of these names, to lie among a game's own. */
export const shared = <const K extends SharedMessage>(...ids: K[]): Pick<typeof SHARED.en, K> =>
  Object.fromEntries(ids.map((id) => [id, SHARED.en[id]])) as Pick<typeof SHARED.en, K>;
