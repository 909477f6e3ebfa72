import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('pin-notes', {
  ...shared('turn.lineBack', 'say.part', 'caution.throw'),
  name: 'Pin Notes',
  goal: 'Roll at {pins} pins: how many fall, how many stand?',
  'setUp.pins': 'Set up {pins} pins close together on the floor, away from lamps and steps.',
  'setUp.line': 'Lay a string three steps away: roll from behind it.',
  'turn.roll': 'Roll the ball at the pins.',
  'turn.count': 'Count those that fell: {down} of {pins}, for example.',
  'turn.say': 'Say it: “{pins} take away {down} is {answer}.” Look: are {answer} standing?',
  'turn.draw': 'Draw the pins and cross out those that fell.',
  'turn.write':
    'When drawing is easy, write it on the strip: {pins}\u00a0−\u00a0{down}\u00a0=\u00a0{answer}.',
  'end.card':
    'Set all pins up again after each roll. A strip is full after {rolls, plural, one {# roll} other {# rolls}}.',
  'easier.near': 'Come one step closer, and use fewer pins.',
  'harder.before': 'Close your eyes while the others roll. They say how many stand: how many fell?',
  'sideBySide.together':
    'No winner needed: fill one strip together and look for a roll that is still missing.',
  'younger.sets': 'A younger brother or sister over {years} can set up the pins and count them.',
  'atHome.tubes': 'No pins? {pins} paper tubes or empty plastic bottles, and a rolled-up pair of socks.',
  'say.standing': '“How many are standing? How many are lying? How many in all?”',
  'play.roll': 'Player {player} knocks down {down} of {pins}: {answer} stand.',
  'play.none': '“None fell. How do we write that?”',
  'play.all': '“All of them. What is left?”',
  'play.standing': '“Could you tell without counting those that stand?”',
});
