import { source } from '~/core/words/reading';

export const words = source('listen-and-move', {
  name: 'Listen and Move',
  goal: 'Listen for the agreed words, then move and count, to {most}.',
  'setUp.words': 'Agree on the words that start a move, such as “the tide says”.',
  'setUp.room': 'Stand where everybody can stretch out both arms.',
  'turn.call': 'The leader calls a move with a count: “The tide says {count} small hops.”',
  'turn.move': 'Everybody moves and counts aloud, and stops right after the last number.',
  'turn.silent': 'Without the agreed words, nobody moves: standing still is right.',
  'turn.leader': 'After a few calls somebody else leads.',
  'end.calls': 'Stop after about {calls} calls, with slow stretches.',
  'easier.show': 'The leader moves along and counts with everybody.',
  'harder.more': 'Do {more} more than was called.',
  'sideBySide.nobody': 'Nobody is out: who moved by mistake laughs and calls next.',
  'younger.copy': 'A younger brother or sister over {years} copies the moves.',
  'atHome.anywhere': 'It needs nothing: while waiting, on the way, before bed with small moves.',
  'say.slow': '“Listen first, then move.” Say it slowly and softly.',
  'say.count': '“How did you know when to stop? You counted to {count}.”',
  'caution.space': 'Clear the floor of toys and rugs that slip; no jumping near stairs, stoves or windows.',
  'play.call':
    'Player {player} calls with the words: {move, select, hops {{count, plural, one {# hop} other {# hops}}} claps {{count, plural, one {# clap} other {# claps}}} steps {{count, plural, one {# step} other {# steps}}} turns {{count, plural, one {# turn} other {# turns}}} nods {{count, plural, one {# nod} other {# nods}}} other {{count, plural, one {# stamp} other {# stamps}}}}.',
  'play.silent':
    'Player {player} calls without the words: {move, select, hops {{count, plural, one {# hop} other {# hops}}} claps {{count, plural, one {# clap} other {# claps}}} steps {{count, plural, one {# step} other {# steps}}} turns {{count, plural, one {# turn} other {# turns}}} nods {{count, plural, one {# nod} other {# nods}}} other {{count, plural, one {# stamp} other {# stamps}}}}. Nobody moves.',
  'play.aloud': '“Count aloud, and stop together.”',
  'play.stood': '“You stood still: you listened.”',
});
