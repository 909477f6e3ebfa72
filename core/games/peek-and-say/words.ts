import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('peek-and-say', {
  ...shared('sideBySide.calm', 'say.how', 'caution.rest'),
  name: 'Peek and Say',
  goal: 'A short look, then covered: how many were there? Up to {max}.',
  'setUp.cards': 'Shuffle the {cards} dot cards and put them face down.',
  'setUp.cover': 'Have the cloth ready, or your hand.',
  'setUp.shield': 'Cut one side from a cereal box: it is the shield that hides the card.',
  'turn.show':
    'Say “Ready, look” and show a card for {seconds, plural, one {# second} other {# seconds}}: count slowly in your head.',
  'turn.cover': 'Cover it. Nobody speaks before it is covered.',
  'turn.say': 'Ask: “How many did you see?” For example: “{number}.”',
  'turn.sayTwo': 'Ask: “How many in each group, and how many in all?” For example: “{a} and {b}: {answer}.”',
  'turn.again': 'Not sure? Look once more, just as long, and say it again.',
  'turn.writeTwo': 'Write both numbers and the sum: {a}\u00a0+\u00a0{b}\u00a0=\u00a0{answer}.',
  'turn.look': 'Look again together. The card gives the answer.',
  'turn.write': 'Write the number down.',
  'end.pile': 'Stop when the pile is empty, or when eyes get tired.',
  'easier.longer': 'Leave the card in view until the child has answered.',
  'harder.draw': 'Draw what you saw, the same way round, before looking again.',
  'younger.fingers': 'A younger brother or sister over {years} can show that many fingers.',
  'atHome.beans': 'Without cards: lay beans on a plate, and cover the plate with a bowl.',
  'say.fingers': 'Not sure? “Show with your fingers what you saw.” Then look again: are there {number}?',
  'say.saw': 'Only one group said? “You saw {a} on one side. What was on the other?”',
  'play.one': 'Player {player} peeks and says {number}.',
  'play.two': 'Player {player} peeks and says: {a} and {b}, {answer} in all.',
  'play.how': '“How did you see it so fast?”',
  'play.part': '“You saw {a}. And the rest?”',
});
