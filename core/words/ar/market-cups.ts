import type { Messages } from '~/core/words/message';

export const marketCups: Messages = {
  name: 'أكواب السوق',
  goal: 'ضعوا في بعض الأكواب العدد نفسه من القطع. كم المجموع؟ حتى {cups, plural, zero {# كوب} one {كوب واحد (#)} two {كوبين (#)} few {# أكواب} many {# كوبًا} other {# كوب}} في كل منها {pieces}.',
  'setUp.cups':
    '{cups, plural, one {خذوا الكوب الواحد (#)} two {كدّسوا الكوبين (#)} zero {كدّسوا الأكواب الـ#} few {كدّسوا الأكواب الـ#} many {كدّسوا الأكواب الـ#} other {كدّسوا الأكواب الـ#}} وضعوا القطع بجانبها.',
  'setUp.dice': 'النرد الذي بلون الأكواب يقول كم كوبًا، والآخر كم قطعة.',
  'setUp.cards': 'الأوراق الحمراء تقول كم كوبًا، والسوداء كم قطعة. اجعلوها رزمتين مقلوبتين.',
  'turn.again':
    'الأكواب من {cupsFrom} إلى {cupsTo}، والقطع من {piecesFrom} إلى {piecesTo}: النرد الذي يُظهر غير ذلك يُرمى من جديد.',
  'turn.cups':
    'اعرفوا كم كوبًا، وضعوها: مثلًا {cups, plural, zero {# كوب} one {كوب واحد (#)} two {كوبان (#)} few {# أكواب} many {# كوبًا} other {# كوب}}.',
  'turn.pieces':
    'اعرفوا كم قطعة، وضعوا هذا العدد في كل كوب: {cups, plural, zero {# كوب} one {كوب واحد (#)} two {كوبان (#)} few {# أكواب} many {# كوبًا} other {# كوب}} في كل منها {pieces}.',
  'turn.say':
    'قولوا قبل العدّ: «{cups, plural, zero {# مجموعة من {pieces} تساوي} one {مجموعة واحدة (#) من {pieces} تساوي} two {مجموعتان (#) من {pieces} تساويان} few {# مجموعات من {pieces} تساوي} many {# مجموعة من {pieces} تساوي} other {# مجموعة من {pieces} تساوي}} {answer}.» ثم تأكدوا.',
  'turn.draw': 'ارسموا الأكواب دوائر فيها نقاط. في الأيام الأولى يكفي هذا.',
  'turn.write': 'اكتبوها بالإشارة: \u2066{cups}\u00a0×\u00a0{pieces}\u00a0=\u00a0{answer}\u2069.',
  'end.rounds':
    'أعيدوا كل شيء بعد كل دور. توقفوا بعد {rounds, plural, zero {# دور} one {دور واحد (#)} two {دورين (#)} few {# أدوار} many {# دورًا} other {# دور}} لكل واحد.',
  'easier.two': 'العبوا بـ{cups} من الأكواب: في كل منها العدد نفسه دائمًا.',
  'harder.guess': 'قولوا الجواب قبل أن تكون في الأكواب أي قطعة.',
  'say.each': '«كم في كل كوب؟ وكم كوبًا؟ والكل؟»',
  'play.groups':
    'اللاعب {player}: {cups, plural, zero {# كوب في كل منها {pieces} تساوي} one {كوب واحد (#) فيه {pieces} يساوي} two {كوبان (#) في كل منهما {pieces} يساويان} few {# أكواب في كل منها {pieces} تساوي} many {# كوبًا في كل منها {pieces} تساوي} other {# كوب في كل منها {pieces} تساوي}} {answer}.',
  'play.times': 'اللاعب {player}: \u2066{cups}\u00a0×\u00a0{pieces}\u00a0=\u00a0{answer}\u2069.',
  'play.turned':
    '«وماذا لو كان هناك {pieces, plural, zero {# كوب في كل منها {cups}} one {كوب واحد (#) فيه {cups}} two {كوبان (#) في كل منهما {cups}} few {# أكواب في كل منها {cups}} many {# كوبًا في كل منها {cups}} other {# كوب في كل منها {cups}}}؟»',
  'play.how':
    '«هل عددتم الكل، أم عددتم قفزًا؟ {cups, plural, zero {# كوب} one {كوب واحد (#)} two {كوبان (#)} few {# أكواب} many {# كوبًا} other {# كوب}}، في كل منها {pieces}.»',
  'sheet.cups': 'أكواب',
  'sheet.each': 'في كل كوب',
  'sheet.all': 'الكل',
};
