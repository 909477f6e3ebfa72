import type { Messages } from '~/core/words/message';

export const numberNests: Messages = {
  name: 'أعشاش الأعداد',
  goal: 'أعيدوا كل بطاقة جمع إلى عشها: من {from} إلى {to}.',
  'setUp.nests': 'رتّبوا الأعشاش من {from} إلى {to}.',
  'setUp.cards':
    'اخلطوا {cards, plural, zero {# بطاقة جمع} one {بطاقة جمع واحدة (#)} two {بطاقتي جمع (#)} few {# بطاقات جمع} many {# بطاقة جمع} other {# بطاقة جمع}} وضعوها رزمة مقلوبة.',
  'turn.card': 'اقلبوا البطاقة العليا واقرأوا الجمع بصوت عالٍ.',
  'turn.lay':
    'إن شئتم ضعوا {a, plural, zero {# قرص} one {قرص واحد (#)} two {قرصين (#)} few {# أقراص} many {# قرصًا} other {# قرص}} من لون و{b} من الآخر.',
  'turn.nest': 'قولوا الجواب وضعوا البطاقة في عشها: \u2066{a}\u00a0+\u00a0{b}\u2069 لها العش {answer}.',
  'turn.stray':
    '{strays, plural, zero {# بطاقة بلا عش} one {بطاقة واحدة (#) بلا عش} two {بطاقتان (#) بلا عش} few {# بطاقات بلا عش} many {# بطاقة بلا عش} other {# بطاقة بلا عش}}. ضعوا التائه بجانب الأعشاش.',
  'end.read': 'عندما تنفد الرزمة، اقرأوا عشًا معًا: كل عملياته لها الجواب نفسه.',
  'easier.two': 'العبوا بعشين فقط، بدءًا بالعش {from}.',
  'harder.missing': 'غطّوا أحد عددي البطاقة: {a} وكم يكون له العش {answer}؟',
  'play.home': 'اللاعب {player} يقلب \u2066{a}\u00a0+\u00a0{b}\u2069 ويعيدها إلى {answer}.',
  'play.stray': 'اللاعب {player} يقلب \u2066{a}\u00a0+\u00a0{b}\u2069: ليس للعدد {answer} عش هنا.',
};
