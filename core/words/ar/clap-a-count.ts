import type { Messages } from '~/core/words/message';

export const clapACount: Messages = {
  name: 'صفّقوا وعدّوا',
  goal: 'صفّقوا واضربوا إيقاعًا وعدّوا بخطوات من {unit}، حتى {end}.',
  'setUp.sit': 'اجلسوا وجهًا لوجه، والأيدي على الركب.',
  'turn.beat':
    'اضربوا على الركب {pats, plural, one {مرة واحدة} zero {# مرة} two {مرتين (#)} few {# مرات} many {# مرة} other {# مرة}}، ثم صفّقوا: هذه مجموعة من {unit}.',
  'turn.say': 'اهمسوا كل ضربة، وقولوا التصفيقة بصوت عالٍ: {a}، {b}، {c} …',
  'turn.on': 'تابعوا حتى {end}: {groups} من المجموعات في كل منها {unit}.',
  'turn.swap': 'في المرة القادمة يبتكر شخص آخر إيقاعًا: لفّ اليدين، نقر الرأس، دقّ القدم.',
  'end.patterns':
    'توقفوا بعد {patterns, plural, zero {# إيقاع} one {إيقاع واحد (#)} two {إيقاعين (#)} few {# إيقاعات} many {# إيقاعًا} other {# إيقاع}}، أحدها بطيء جدًا.',
  'easier.slow': 'قولوا كل ضربة بصوت عالٍ، ببطء.',
  'harder.back': 'ابدأوا عند {end} وعدّوا تنازليًا.',
  'sideBySide.circle': 'اجلسوا في دائرة: ضربة لكل واحد، بالتوالي.',
  'younger.clap': 'أخ أو أخت فوق {years} سنوات يصفّق مع الضربات العالية.',
  'atHome.anywhere': 'لا تحتاج إلا إلى الأيدي: في السيارة، في الحمّام، في الانتظار.',
  'say.many': '«كم تصفيقة؟ كل تصفيقة {unit}. وبعد {groups} من التصفيقات؟»',
  'play.pattern': 'اللاعب {player} يقود إيقاعًا من {unit}: {spoken}.',
  'play.groups': '«كم مجموعة من {unit} كانت؟ {groups}.»',
  'play.next': '«ماذا يأتي بعد {end}؟ {unit} أخرى.»',
};
