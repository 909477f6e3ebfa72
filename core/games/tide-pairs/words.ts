import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('tide-pairs', {
  ...shared('sideBySide.team', 'younger.helper', 'atHome.deck', 'say.how', 'caution.rest'),
  name: 'Tide Pairs',
  goal: '{target, select, same {Find cards that are the same.} other {Find two cards that make {target} together.}}',
  'setUp.all': 'Keep all {kept} cards.',
  'setUp.take':
    'Take out {faces, select, none {} JQK {the jacks, queens and kings} QK {the queens and kings} JK {the jacks and kings} JQ {the jacks and queens} K {the kings} Q {the queens} other {the jacks}}{numbers, select, none {} other {{faces, select, none {} other { and }}every {numbers}}}: they have no partner. {kept, plural, one {# card stays} other {# cards stay}}.',
  'setUp.ace': 'An ace is {one}.',
  'setUp.zero': '{card, select, jack {Jacks} other {Queens}} count as {zero}.',
  'setUp.leftover':
    '{leftover, plural, one {# card of this deck has} other {# cards of this deck have}} no partner: take {leftover, plural, one {it} other {them}} out first.',
  'setUp.deal': 'Give each player {hand} cards. Put the rest in the middle, face down.',
  'setUp.video':
    'On a video call each of you needs a deck of your own. Each takes {hand} cards from their own pile.',
  'turn.lay': 'Lay down any two cards that make {target}, and say them: “{a} and {b} make {target}.”',
  'turn.laySame': 'Lay down any two cards that are the same, and say their number.',
  'turn.threes': 'Three cards that make {target} may be laid down too.',
  'turn.ask': 'Choose one of your cards, such as {own}, and ask the others: “Do you have a {wanted}?”',
  'turn.askOne':
    'Choose one of your cards, such as {own}, and ask one player of your choice: “Do you have a {wanted}?”',
  'turn.give': 'Whoever has the card gives it, and you lay your pair.',
  'turn.video': 'If somebody holds up a {wanted}, look for a {wanted} in your own pile and lay your pair.',
  'turn.drawNow': 'If nobody has it, draw a card. A pair that it makes is laid at once.',
  'turn.drawLater': 'If nobody has it, draw a card. A pair that it makes waits for your next turn.',
  'turn.refill': 'If your hand is empty, draw {refill} new cards.',
  'turn.out': 'If your hand is empty, you are done: help the others.',
  'end.all': 'The tide is in when no card is left that can pair. Count the pairs together.',
  'easier.open': 'Play with the cards face up on the table.',
  'harder.picture': 'Before you ask, say how you know which card is missing, without counting up.',
  'say.hands': '“You have {own}. How many more to {target}? Show it with fingers.”',
  'say.same': '“You have a {own}. Who could have one like it?”',
  'play.laysAll': 'Player {player} lays down everything.',
  'play.gets': 'Player {player} has {own}, asks for {wanted} and gets it.',
  'play.draws': 'Player {player} has {own}, asks for {wanted} and has to draw.',
  'play.only': 'Player {player} has nothing to ask for, and takes a card if there is one.',
  'play.asks': 'Player {player} has {own} and asks for {wanted}; nobody has it, and the pile is empty.',
  'play.sum': '“{own} and {wanted}: do they belong together? Show me.”',
  'play.missing': '“You have {own}. What is missing?”',
});
