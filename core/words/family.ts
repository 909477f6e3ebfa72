/** What families read beside a game's own wording: headings of the sheet, the play page, the answer form. */
import { source, type Source } from './reading';

export const FAMILY_WORDS = source('family', {
  'part.setUp': 'Get ready',
  'part.turn': 'Play',
  'part.end': 'To finish',
  'part.easier': 'Easier',
  'part.harder': 'Harder',
  'part.sideBySide': 'Together',
  'part.younger': 'Little ones',
  'part.atHome': 'At home instead',
  'part.say': 'What you can say',
  'part.hear': 'What you might hear',
  'hear.count': '“One, two, four”: a number word is left out. Count again together, one touch for each.',
  'hear.quantity':
    'Counting from one each time: the numeral is still new. Say its name, and show as many fingers.',
  'hear.glance':
    'Counting dots that could be seen at once: so it begins. Show fewer, and for a shorter time.',
  'hear.add':
    '“One, two, three” from the start, for {a} and {b}: everything is counted again. “{a} are there already. Which number comes next?”',
  'hear.split': '“{a}”, and no more: one part is seen, not yet both. Cover it: “And how many here?”',
  'hear.missing': '“{b}”, where {a} are there: the whole is named. “How many more, so that it is {b}?”',
  'hear.subtract':
    '“{wrong}” for {a} take away {b}: counted back from {a} itself. Take the pieces away one by one, then look.',
  'hear.multiply':
    '“{wrong}” for {a} groups of {b}: both numbers were added. Lay the groups, and count all of them.',
  'hear.divide': '“That does not work”: share {a} pieces out into {b} groups, one for each in turn.',
  'hear.compare':
    'The row that looks longer is called more. Lay both side by side, piece by piece: which has some left over?',
  'hear.tens':
    '“{wrong}” for {a, plural, one {# ten} other {# tens}} and {b, plural, one {# one} other {# ones}}: the two have changed places. Build it: how many tens, and how many besides?',
  'hear.letter': 'Letters that mirror each other are mixed up: trace both with a finger, side by side.',
  'hear.listen': 'Going on after the word to stop: waiting is hard work. Slow down, and smile at every stop.',
  'place.table': 'At the table',
  'place.floor': 'On the floor',
  'place.outdoors': 'Outdoors',
  'place.rainyDay': 'On a rainy day',
  'place.car': 'In the car, without any pieces',
  'place.video': 'Over a video call',
  inTheCar: 'In the car: one says the numbers aloud, without any pieces; another says the answer.',
  'lacks.toldAnew':
    'Some parts of this game are missing from the bag. It is told here so that it plays with what is there.',
  'lacks.rests':
    'Some parts of this game are missing from the bag, so it rests for now. Play another one, or use what stands in at home.',
  edible:
    'Beans and pasta: mind allergies, and keep them from children under {years} unless a grown-up sits beside them.',
  reachUs: 'How to reach us: {contact}',
  'part.caution': 'Take care',
  'show.pieces': 'with pieces',
  'show.drawing': 'drawing',
  'show.symbols': 'with numbers',
  asOf: 'The records of the school cannot be reached right now. This page is as it was at {time}.',
  inBag: 'In the bag',
  inPlace: '{part} in place of {usual}',
  standIn: '{part}: or {standIn}',
  unchecked: 'Not yet checked by a fluent reader.',
  minutes: 'About {minutes, plural, one {# minute} other {# minutes}}',
  players: '{players, plural, one {# player} other {# players}}',
  scan: 'Scan this with a phone to see the game and tell us how it went:',
  smallParts: 'Small parts: not for children under {years}.',
  backToSchool:
    'Please count the parts back into the bag. If something is lost or broken, tell us; it happens.',
  language: 'Language',
  tell: 'How did it go?',
  tellWhy: 'Your answer helps us choose the next basket. No name is needed; leave empty what you like.',
  children: 'How many children played?',
  grownUps: 'How many grown-ups played along?',
  times: 'How many times did you play?',
  minutesEach: 'About how many minutes each time?',
  level: 'For the children it was',
  'level.tooEasy': 'too easy',
  'level.justRight': 'just right',
  'level.tooHard': 'too hard',
  childDid: 'What did the children do or say?',
  missing: 'Was something missing or broken?',
  anythingElse: 'Anything else?',
  send: 'Send the answer',
  thanks: 'Thank you',
  thanksWhy: 'Your answer has reached the school.',
  backToGame: 'Back to the game',
  listen: 'Listen',
  stopListening: 'Stop',
  saidAloud: 'Said aloud by a person who speaks this language',
  'refuse.notOut':
    'This basket is at school now, so there is nothing to answer. The game can still be read here.',
  'refuse.others':
    'This page was opened when you had this basket before. Now another family has it, so there is nothing to answer here.',
  haveItNow: 'We have this basket now',
  'refuse.busy': 'Too many visits in a short time. Please wait a few minutes and try again.',
  'refuse.number':
    'This bag has been answered for on another phone already. To answer here too, type the number that the school gave with the bag; what you wrote stays here.',
  haveNumber: 'We have the number',
  'refuse.unknown':
    'This link does not belong to a basket. Please scan the square on the label again, or ask at school.',
  'error.anew':
    'The answer was not sent yet. Please open this page anew and send it again; what you wrote is still here.',
  'error.number': 'Please write a number from {from} to {to}, or leave it empty.',
  'error.long': 'There is room for {limit} characters here.',
  'error.choice': 'Please choose one of the answers.',
  'error.empty': 'Please answer at least one question.',
  'error.top': 'The answer was not sent yet. What you wrote is still here; please look at the marked places.',
  optional: 'you may leave this empty',
  skip: 'Go to the game',
  'answer.enough': 'Tap how it was, and send. That is a full answer; everything else is up to you.',
  'answer.more': 'Tell us more about this game',
  'answer.whole': 'About the whole bag',
  'answer.who': 'Who played? A nickname is enough.',
  'answer.how': 'How did the child work it out?',
  'how.pieces': 'with the pieces',
  'how.drawing': 'by drawing',
  'how.countingOn': 'by counting on',
  'how.knew': 'knew it',
  'answer.childSaid': 'What did the child say?',
  'answer.changed': 'Did you change something: own rules, other pieces?',
  'answer.unclear': 'Was a step unclear?',
  'answer.allClear': 'No, all was clear',
  'answer.again': 'What would you like next?',
  'again.again': 'this one again',
  'again.easier': 'something easier',
  'again.harder': 'something harder',
  'again.other': 'something else',
  'answer.picture': 'A picture of what the child made; no faces, please',
  'answer.pictureWhy': 'Only the school sees it, and it is deleted at the end of the term.',
  'answer.offline':
    'There is no network just now. What you wrote is kept on this phone: send it when there is.',
  'answer.kept': 'What you wrote before is still here.',
  'picture.large':
    'This picture is too large: up to {limit} megabytes can be sent. Choose another one, or send the answer without it.',
  'picture.none':
    'This is not a picture that can be read. Choose another one, or send the answer without it.',
  'error.nickname': 'One word of up to {limit} letters is enough here.',
  'text.tooEasy': 'easy',
  'text.justRight': 'ok',
  'text.tooHard': 'hard',
});

/** Of these what might be heard in a play, for where nothing else is said to families. */
export const HEARD_WORDS: Source = source(
  FAMILY_WORDS.id,
  Object.fromEntries(Object.entries(FAMILY_WORDS.en).filter(([id]) => id.startsWith('hear.'))),
);

export type FamilyMessage = keyof typeof FAMILY_WORDS.en;
