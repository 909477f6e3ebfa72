import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('frame-trail', {
  ...shared('sideBySide.calm', 'younger.counts', 'say.part', 'say.check', 'caution.small'),
  name: 'Frame Trail',
  goal: '{op, select, add {Follow the trail: fill ten-frames, fill on, and see the sum. Numbers to {max}.} other {Follow the trail: fill ten-frames, lift some off, and see what is left. Numbers to {max}.}}',
  'setUp.trail': 'Lay the frame pages one after the other like a trail, a sentence card on each.',
  'setUp.counters': 'Put {max} counters beside the trail.',
  'turn.card': 'Go to the next card and read the number sentence.',
  'turn.first': 'Lay the first number, the upper row of {five} first: {a}, for example.',
  'turn.on': 'Fill on with the other color: {b} more.',
  'turn.off': 'Lift {b} off again.',
  'turn.saySum': 'Look at the frame and say it: “{a} and {b} make {answer}.”',
  'turn.sayLeft': 'Look at the frame and say it: “{a} take away {b} is {answer}.”',
  'turn.draw': 'Next day: draw dots into the frame instead of counters.',
  'end.trail':
    'Take the counters off before the next frame. The trail has {problems, plural, one {# problem} other {# problems}}.',
  'easier.colours': 'Without sentence cards: fill a frame with two colors and say how many of each.',
  'harder.before': 'Say the answer before any counter is laid.',
  'atHome.egg': 'An egg carton cut to ten hollows is a ten-frame too.',
  'say.empty': '“How many places are empty? How many to {ten}?”',
  'play.add': 'Player {player} lays {a} and fills on {b}: {answer}.',
  'play.subtract': 'Player {player} lays {a} and lifts off {b}: {answer} are left.',
  'play.ten': '“How far is it to {ten}?”',
  'play.see': '“Can you see how many are left?”',
});
