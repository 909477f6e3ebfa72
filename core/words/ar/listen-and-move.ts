import type { Messages } from '~/core/words/message';

export const listenAndMove: Messages = {
  name: 'اسمعوا وتحركوا',
  goal: 'اسمعوا الكلمات المتفق عليها، ثم تحركوا وعدّوا، حتى {most}.',
  'setUp.words': 'اتفقوا على كلمات تبدأ بها الحركة، مثل «يقول المدّ».',
  'setUp.room': 'قفوا حيث يستطيع الجميع مدّ ذراعيه.',
  'turn.call': 'ينادي القائد بحركة وعدد: «يقول المدّ {count} قفزات صغيرة.»',
  'turn.move': 'يتحرك الجميع ويعدّون بصوت عالٍ، ويتوقفون بعد العدد الأخير مباشرة.',
  'turn.silent': 'من دون الكلمات المتفق عليها لا يتحرك أحد: الوقوف هو الصحيح.',
  'turn.leader': 'بعد بضعة نداءات يقود شخص آخر.',
  'end.calls': 'توقفوا بعد نحو {calls} من النداءات، وفيها لحظات بطيئة.',
  'easier.show': 'يتحرك القائد معكم ويعدّ مع الجميع.',
  'harder.more': 'افعلوا {more} أكثر مما نودي به.',
  'sideBySide.nobody': 'لا يخرج أحد: من تحرك خطأً يضحك وينادي النداء التالي.',
  'younger.copy': 'أخ أو أخت فوق {years} سنوات يقلّد الحركات.',
  'atHome.anywhere': 'لا تحتاج إلى شيء: في الانتظار، في الطريق، قبل النوم بحركات صغيرة.',
  'say.slow': '«اسمعوا أولًا، ثم تحركوا.» قولوها ببطء وهدوء.',
  'say.count': '«كيف عرفتم متى تتوقفون؟ عددتم حتى {count}.»',
  'caution.space': 'أبعدوا عن الأرض الألعاب والسجاد الذي ينزلق؛ لا قفز قرب الدرج أو المواقد أو النوافذ.',
  'play.call':
    'اللاعب {player} ينادي مع الكلمات: {move, select, hops {{count, plural, zero {# قفزة} one {قفزة واحدة (#)} two {قفزتان (#)} few {# قفزات} many {# قفزة} other {# قفزة}}} claps {{count, plural, zero {# تصفيقة} one {تصفيقة واحدة (#)} two {تصفيقتان (#)} few {# تصفيقات} many {# تصفيقة} other {# تصفيقة}}} steps {{count, plural, zero {# خطوة} one {خطوة واحدة (#)} two {خطوتان (#)} few {# خطوات} many {# خطوة} other {# خطوة}}} turns {{count, plural, zero {# دورة} one {دورة واحدة (#)} two {دورتان (#)} few {# دورات} many {# دورة} other {# دورة}}} nods {{count, plural, zero {# إيماءة} one {إيماءة واحدة (#)} two {إيماءتان (#)} few {# إيماءات} many {# إيماءة} other {# إيماءة}}} other {{count, plural, zero {# دقة قدم} one {دقة قدم واحدة (#)} two {دقتا قدم (#)} few {# دقات قدم} many {# دقة قدم} other {# دقة قدم}}}}.',
  'play.silent':
    'اللاعب {player} ينادي من دون الكلمات: {move, select, hops {{count, plural, zero {# قفزة} one {قفزة واحدة (#)} two {قفزتان (#)} few {# قفزات} many {# قفزة} other {# قفزة}}} claps {{count, plural, zero {# تصفيقة} one {تصفيقة واحدة (#)} two {تصفيقتان (#)} few {# تصفيقات} many {# تصفيقة} other {# تصفيقة}}} steps {{count, plural, zero {# خطوة} one {خطوة واحدة (#)} two {خطوتان (#)} few {# خطوات} many {# خطوة} other {# خطوة}}} turns {{count, plural, zero {# دورة} one {دورة واحدة (#)} two {دورتان (#)} few {# دورات} many {# دورة} other {# دورة}}} nods {{count, plural, zero {# إيماءة} one {إيماءة واحدة (#)} two {إيماءتان (#)} few {# إيماءات} many {# إيماءة} other {# إيماءة}}} other {{count, plural, zero {# دقة قدم} one {دقة قدم واحدة (#)} two {دقتا قدم (#)} few {# دقات قدم} many {# دقة قدم} other {# دقة قدم}}}}. لا يتحرك أحد.',
  'play.aloud': '«عدّوا بصوت عالٍ، وتوقفوا معًا.»',
  'play.stood': '«بقيتم بلا حركة: لقد سمعتم.»',
};
