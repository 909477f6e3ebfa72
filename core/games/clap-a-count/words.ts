import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('clap-a-count', {
  ...shared('caution.rest'),
  name: 'Clap a Count',
  goal: 'Clap and pat a pattern and count in steps of {unit}, to {end}.',
  'setUp.sit': 'Sit face to face, hands on your knees.',
  'turn.beat':
    'Pat your knees {pats, plural, one {once} other {# times}}, then clap: that is one group of {unit}.',
  'turn.say': 'Whisper every beat, and say the clap aloud: {a}, {b}, {c} …',
  'turn.on': 'Go on to {end}: {groups} groups of {unit}.',
  'turn.swap': 'Next time somebody else finds a pattern: roll the hands, tap the head, stamp.',
  'end.patterns': 'Stop after {patterns, plural, one {# pattern} other {# patterns}}, with a very slow one.',
  'easier.slow': 'Say every beat aloud, slowly.',
  'harder.back': 'Begin at {end} and count down.',
  'sideBySide.circle': 'Sit in a circle: one beat each, all around.',
  'younger.clap': 'A younger brother or sister over {years} claps along with the loud beats.',
  'atHome.anywhere': 'It needs only hands: in the car, in the bath, while waiting.',
  'say.many': '“How many claps? Each clap is {unit}. And after {groups} claps?”',
  'play.pattern': 'Player {player} leads a pattern of {unit}: {spoken}.',
  'play.groups': '“How many groups of {unit} were that? {groups}.”',
  'play.next': '“What would come after {end}? {unit} more.”',
});
