import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('frame-trail', {
  ...shared(
    'turn.lineHop',
    'turn.lineBack',
    'sideBySide.calm',
    'younger.counts',
    'say.part',
    'say.check',
    'caution.small',
  ),
  name: 'Frame Trail',
  goal: '{op, select, add {Follow the trail: fill ten-frames, fill on, and see the sum. Numbers to {max}.} both {Follow the trail: fill ten-frames, fill on, then lift the same off again. Numbers to {max}.} other {Follow the trail: fill ten-frames, lift some off, and see what is left. Numbers to {max}.}}',
  'setUp.trail': 'Lay the frame pages one after the other like a trail, a sentence card on each.',
  'setUp.numbers':
    'Lay the frame pages one after the other like a trail, a sentence card on each. The operation cards lie ready.',
  'setUp.counters': 'Put {max} counters beside the trail.',
  'turn.card': 'Go to the next card and read the number sentence.',
  'turn.first': 'Lay the first number, the upper row of {five} first: {a}, for example.',
  'turn.on': 'Fill on with the other color: {b} more.',
  'turn.off': 'Lift {b} off again.',
  'turn.saySum': 'Look at the frame and say it: “{a} and {b} make {answer}.”',
  'turn.sayLeft': 'Look at the frame and say it: “{a} take away {b} is {answer}.”',
  'turn.undo':
    'Lift the same {b} off again and say it: “{answer} take away {b} is {a}.” The second sentence of the card says so.',
  'turn.lay':
    'Lay the signs of the sentence with the operation cards between the counters or fingers: {signs}',
  'turn.sheet': 'On the problem sheet: draw the dots into the frame, and write the answer.',
  'turn.draw': 'Next day: draw dots into the frame instead of counters.',
  'end.trail':
    'Take the counters off before the next frame. The trail has {problems, plural, one {# problem} other {# problems}}.',
  'easier.colours': 'Without sentence cards: fill a frame with two colors and say how many of each.',
  'harder.before': 'Say the answer before any counter is laid.',
  'atHome.egg': 'An egg carton cut to ten hollows is a ten-frame too.',
  'say.empty': '“How many places are empty? How many to {ten}?”',
  'play.add': 'Player {player} lays {a} and fills on {b}: {answer}.',
  'play.both': 'Player {player} lays {a}, fills on {b}: {answer}. Lifts {b} off: {a} again.',
  'play.back': '“What did we have before? How do you know?”',
  'play.subtract': 'Player {player} lays {a} and lifts off {b}: {answer} are left.',
  'play.ten': '“How far is it to {ten}?”',
  'play.see': '“Can you see how many are left?”',
});
