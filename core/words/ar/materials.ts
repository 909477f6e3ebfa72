import type { Messages } from '~/core/words/message';

export const materials: Messages = {
  'two-colour-counter':
    '{quantity, plural, zero {# قرص ذو لونين} one {قرص ذو لونين واحد (#)} two {قرصان ذوا لونين (#)} few {# أقراص ذات لونين} many {# قرصًا ذا لونين} other {# قرص ذو لونين}}',
  'two-colour-counter.standIn':
    'مربعات ورق ملوّنة من جهة واحدة، أو أغطية قوارير، أو أزرار كبيرة معلّمة من جهة واحدة',
  chip: '{quantity, plural, zero {# رقاقة} one {رقاقة واحدة (#)} two {رقاقتان (#)} few {# رقائق} many {# رقاقة} other {# رقاقة}}',
  'chip.standIn': 'حبات فاصوليا جافة أو أزرار أو قصاصات ورق',
  piece:
    '{quantity, plural, zero {# قطعة لبّاد} one {قطعة لبّاد واحدة (#)} two {قطعتا لبّاد (#)} few {# قطع لبّاد} many {# قطعة لبّاد} other {# قطعة لبّاد}}',
  'piece.standIn': 'معكرونة جافة أو حبات فاصوليا أو أزرار',
  cube: '{quantity, plural, zero {# مكعب تركيب} one {مكعب تركيب واحد (#)} two {مكعبا تركيب (#)} few {# مكعبات تركيب} many {# مكعب تركيب} other {# مكعب تركيب}}',
  'cube.standIn': 'حبات فاصوليا جافة أو معكرونة أو أزرار؛ الأبراج تصير صفوفًا',
  'ten-rod':
    '{quantity, plural, zero {# قضيب عشرة} one {قضيب عشرة واحد (#)} two {قضيبا عشرة (#)} few {# قضبان عشرة} many {# قضيب عشرة} other {# قضيب عشرة}}',
  'ten-rod.standIn': 'عشرة مكعبات ملصقة معًا، أو أشرطة ورق فيها عشرة مربعات',
  block:
    '{quantity, plural, zero {# قالب للتكديس} one {قالب للتكديس واحد (#)} two {قالبان للتكديس (#)} few {# قوالب للتكديس} many {# قالبًا للتكديس} other {# قالب للتكديس}}',
  'block.standIn': 'علب صغيرة أو معلّبات أو كتب؛ ضعوها في صف إن كانت تهتز',
  die: '{quantity, plural, zero {# حجر نرد} one {حجر نرد واحد (#)} two {حجرا نرد (#)} few {# أحجار نرد} many {# حجر نرد} other {# حجر نرد}}',
  'die.standIn': 'أوراق نوع واحد من الآص إلى الستة، تُقلب ورقة ورقة',
  'card-deck':
    '{quantity, plural, zero {# رزمة ورق لعب} one {رزمة ورق لعب واحدة (#)} two {رزمتا ورق لعب (#)} few {# رزم ورق لعب} many {# رزمة ورق لعب} other {# رزمة ورق لعب}}',
  'card-deck.standIn': 'قصاصات كُتبت عليها الأعداد، كل عدد بقدر ما في الرزمة',
  tile: '{quantity, plural, zero {# قطعة دومينو} one {قطعة دومينو واحدة (#)} two {قطعتا دومينو (#)} few {# قطع دومينو} many {# قطعة دومينو} other {# قطعة دومينو}}',
  'tile.standIn': 'مستطيلات ورق رُسمت نقاط على نصفيها',
  cup: '{quantity, plural, zero {# كوب للهز} one {كوب للهز واحد (#)} two {كوبان للهز (#)} few {# أكواب للهز} many {# كوبًا للهز} other {# كوب للهز}}',
  'cup.standIn': 'أي كوب أو وعاء صغير لا ينكسر',
  'small-cup':
    '{quantity, plural, zero {# كوب صغير} one {كوب صغير واحد (#)} two {كوبان صغيران (#)} few {# أكواب صغيرة} many {# كوبًا صغيرًا} other {# كوب صغير}}',
  'small-cup.standIn': 'حُفَر كرتونة البيض، أو دوائر مرسومة على ورق',
  peg: '{quantity, plural, zero {# مشبك غسيل} one {مشبك غسيل واحد (#)} two {مشبكا غسيل (#)} few {# مشابك غسيل} many {# مشبك غسيل} other {# مشبك غسيل}}',
  'peg.standIn': 'مشابك ورق على حافة بطاقة',
  pin: '{quantity, plural, zero {# قنينة لعب} one {قنينة لعب واحدة (#)} two {قنينتا لعب (#)} few {# قناني لعب} many {# قنينة لعب} other {# قنينة لعب}}',
  'pin.standIn': 'أنابيب ورق أو قوارير بلاستيك فارغة',
  ball: '{quantity, plural, zero {# كرة طرية} one {كرة طرية واحدة (#)} two {كرتان طريتان (#)} few {# كرات طرية} many {# كرة طرية} other {# كرة طرية}}',
  'ball.standIn': 'زوج جوارب ملفوف',
  'bean-bag':
    '{quantity, plural, zero {# كيس حبوب} one {كيس حبوب واحد (#)} two {كيسا حبوب (#)} few {# أكياس حبوب} many {# كيس حبوب} other {# كيس حبوب}}',
  'bean-bag.standIn': 'جوارب ملفوفة',
  'hop-stone':
    '{quantity, plural, zero {# حجر مسطح} one {حجر مسطح واحد (#)} two {حجران مسطحان (#)} few {# أحجار مسطحة} many {# حجرًا مسطحًا} other {# حجر مسطح}}',
  'hop-stone.standIn': 'غطاء قارورة أو قطعة قماش مطوية',
  token:
    '{quantity, plural, zero {# بيدق} one {بيدق واحد (#)} two {بيدقان (#)} few {# بيادق} many {# بيدقًا} other {# بيدق}}',
  'token.standIn': 'أزرار أو أغطية قوارير',
  animal:
    '{quantity, plural, zero {# حيوان للبركة} one {حيوان للبركة واحد (#)} two {حيوانان للبركة (#)} few {# حيوانات للبركة} many {# حيوانًا للبركة} other {# حيوان للبركة}}',
  'animal.standIn': 'نوعان من الأزرار أو حبات الفاصوليا',
  'paper-clip':
    '{quantity, plural, zero {# مشبك ورق} one {مشبك ورق واحد (#)} two {مشبكا ورق (#)} few {# مشابك ورق} many {# مشبك ورق} other {# مشبك ورق}}',
  'paper-clip.standIn': 'مشبك شعر',
  cover:
    '{quantity, plural, zero {# قماشة للتغطية} one {قماشة للتغطية واحدة (#)} two {قماشتان للتغطية (#)} few {# أقمشة للتغطية} many {# قماشة للتغطية} other {# قماشة للتغطية}}',
  'cover.standIn': 'منشفة أو وعاء أو يدكم',
  'wipe-marker':
    '{quantity, plural, zero {# قلم يُمحى} one {قلم يُمحى واحد (#)} two {قلمان يُمحيان (#)} few {# أقلام تُمحى} many {# قلمًا يُمحى} other {# قلم يُمحى}}',
  'wipe-marker.standIn': 'ورقة وقلم رصاص',
  'floor-stone':
    '{quantity, plural, zero {# حجر لبّاد} one {حجر لبّاد واحد (#)} two {حجرا لبّاد (#)} few {# أحجار لبّاد} many {# حجر لبّاد} other {# حجر لبّاد}}',
  'floor-stone.standIn': 'أوراق ملصقة بالأرض من كل الجوانب',
  pencil:
    '{quantity, plural, zero {# قلم رصاص} one {قلم رصاص واحد (#)} two {قلما رصاص (#)} few {# أقلام رصاص} many {# قلم رصاص} other {# قلم رصاص}}',
  'pencil.standIn': 'قلم تلوين أو قلم حبر',
  dough:
    '{quantity, plural, zero {# غرام معجون} one {غرام معجون واحد (#)} two {غراما معجون (#)} few {# غرامات معجون} many {# غرام معجون} other {# غرام معجون}}',
  'dough.standIn': 'كرات ورق مكوّر',
  chalk:
    '{quantity, plural, zero {# إصبع طباشير} one {إصبع طباشير واحد (#)} two {إصبعا طباشير (#)} few {# أصابع طباشير} many {# إصبع طباشير} other {# إصبع طباشير}}',
  'chalk.standIn': 'شريط لاصق على الأرض، أو أوراق',
  'record-sheet':
    '{quantity, plural, zero {# ورقة تسجيل} one {ورقة تسجيل واحدة (#)} two {ورقتا تسجيل (#)} few {# أوراق تسجيل} many {# ورقة تسجيل} other {# ورقة تسجيل}}',
  'record-sheet.standIn': 'ورقة بيضاء مطوية عمودين',
  'peg-card':
    '{quantity, plural, zero {# بطاقة مشابك} one {بطاقة مشابك واحدة (#)} two {بطاقتا مشابك (#)} few {# بطاقات مشابك} many {# بطاقة مشابك} other {# بطاقة مشابك}}',
  'peg-card.standIn': 'شريط كرتون عليه علامات بعدد المشابك',
  'sum-card':
    '{quantity, plural, zero {# بطاقة جمع} one {بطاقة جمع واحدة (#)} two {بطاقتا جمع (#)} few {# بطاقات جمع} many {# بطاقة جمع} other {# بطاقة جمع}}',
  'sum-card.standIn': 'قصاصات كُتبت عليها العمليات نفسها',
  nest: '{quantity, plural, zero {# عش} one {عش واحد (#)} two {عشان (#)} few {# أعشاش} many {# عشًا} other {# عش}}',
  'nest.standIn': 'أوعية أو دوائر خيط، لكل منها عدده على قصاصة',
  'cut-shape':
    '{quantity, plural, zero {# شكل مقصوص} one {شكل مقصوص واحد (#)} two {شكلان مقصوصان (#)} few {# أشكال مقصوصة} many {# شكلًا مقصوصًا} other {# شكل مقصوص}}',
  'cut-shape.standIn': 'أوراق شجر أو مربعات ورق، كُتبت عليها الأعداد نفسها',
  'shape-board':
    '{quantity, plural, zero {# لوحة أشكال} one {لوحة أشكال واحدة (#)} two {لوحتا أشكال (#)} few {# لوحات أشكال} many {# لوحة أشكال} other {# لوحة أشكال}}',
  'shape-board.standIn': 'ورقة رُسمت حول الأشكال فيها حدودها',
  'triangle-card':
    '{quantity, plural, zero {# بطاقة مثلثة} one {بطاقة مثلثة واحدة (#)} two {بطاقتان مثلثتان (#)} few {# بطاقات مثلثة} many {# بطاقة مثلثة} other {# بطاقة مثلثة}}',
  'triangle-card.standIn': 'ثلاث قصاصات على شكل مثلث، إحداها مقلوبة',
  'colour-card':
    '{quantity, plural, zero {# بطاقة لون وعدد} one {بطاقة لون وعدد واحدة (#)} two {بطاقتا لون وعدد (#)} few {# بطاقات لون وعدد} many {# بطاقة لون وعدد} other {# بطاقة لون وعدد}}',
  'colour-card.standIn': 'قصاصات بألوان مختلفة كُتبت عليها الأعداد؛ اخلطوها جيدًا',
  board:
    '{quantity, plural, zero {# لوحة} one {لوحة واحدة (#)} two {لوحتان (#)} few {# لوحات} many {# لوحة} other {# لوحة}}',
  'board.standIn': 'ورقة مطوية مربعات، في كل مربع عدد',
  slip: '{quantity, plural, zero {# قصاصة سحب} one {قصاصة سحب واحدة (#)} two {قصاصتا سحب (#)} few {# قصاصات سحب} many {# قصاصة سحب} other {# قصاصة سحب}}',
  'slip.standIn': 'قصاصات عليها الأعداد، مطوية',
  mat: '{quantity, plural, zero {# مفرش} one {مفرش واحد (#)} two {مفرشان (#)} few {# مفارش} many {# مفرشًا} other {# مفرش}}',
  'mat.standIn': 'ورقة فيها الأعداد نفسها داخل مربعات',
  spinner:
    '{quantity, plural, zero {# دوّارة} one {دوّارة واحدة (#)} two {دوّارتان (#)} few {# دوّارات} many {# دوّارة} other {# دوّارة}}',
  'spinner.standIn': 'قصاصات في وعاء، واحدة لكل جزء من الدوّارة؛ أعيدوا كل قصاصة',
  'number-card':
    '{quantity, plural, zero {# بطاقة عدد} one {بطاقة عدد واحدة (#)} two {بطاقتا عدد (#)} few {# بطاقات عدد} many {# بطاقة عدد} other {# بطاقة عدد}}',
  'number-card.standIn': 'قصاصات كُتبت عليها الأعداد',
  'frame-card':
    '{quantity, plural, zero {# بطاقة إطار} one {بطاقة إطار واحدة (#)} two {بطاقتا إطار (#)} few {# بطاقات إطار} many {# بطاقة إطار} other {# بطاقة إطار}}',
  'frame-card.standIn': 'صفان من خمسة مربعات على ورق؛ أو كرتونة بيض مقصوصة إلى عشر حُفَر',
  'dot-card':
    '{quantity, plural, zero {# بطاقة نقاط} one {بطاقة نقاط واحدة (#)} two {بطاقتا نقاط (#)} few {# بطاقات نقاط} many {# بطاقة نقاط} other {# بطاقة نقاط}}',
  'dot-card.standIn': 'قصاصات رُسمت عليها النقاط',
  'score-strip':
    '{quantity, plural, zero {# شريط نتائج} one {شريط نتائج واحد (#)} two {شريطا نتائج (#)} few {# أشرطة نتائج} many {# شريط نتائج} other {# شريط نتائج}}',
  'score-strip.standIn': 'ورقة فيها ثلاثة أعمدة',
  'picture-card':
    '{quantity, plural, zero {# بطاقة صورة} one {بطاقة صورة واحدة (#)} two {بطاقتا صورة (#)} few {# بطاقات صور} many {# بطاقة صورة} other {# بطاقة صورة}}',
  'picture-card.standIn': 'قصاصات عليها العدد نفسه من النقاط بلونين',
  'sentence-card':
    '{quantity, plural, zero {# بطاقة عملية} one {بطاقة عملية واحدة (#)} two {بطاقتا عملية (#)} few {# بطاقات عمليات} many {# بطاقة عملية} other {# بطاقة عملية}}',
  'sentence-card.standIn': 'قصاصات كُتبت عليها العمليات',
  'puzzle-piece':
    '{quantity, plural, zero {# قطعة أحجية} one {قطعة أحجية واحدة (#)} two {قطعتا أحجية (#)} few {# قطع أحجية} many {# قطعة أحجية} other {# قطعة أحجية}}',
  'puzzle-piece.standIn': 'صورة من إعلان، مقصوصة نصفين بخط خاص بها',
  path: '{quantity, plural, zero {# مسار للطاولة} one {مسار للطاولة واحد (#)} two {مساران للطاولة (#)} few {# مسارات للطاولة} many {# مسارًا للطاولة} other {# مسار للطاولة}}',
  'path.standIn': 'صف مربعات على ورق؛ تمشي عليه ألعاب صغيرة',
  'sign-card':
    '{quantity, plural, zero {# إشارة مقارنة} one {إشارة مقارنة واحدة (#)} two {إشارتا مقارنة (#)} few {# إشارات مقارنة} many {# إشارة مقارنة} other {# إشارة مقارنة}}',
  'sign-card.standIn': 'قلما رصاص يلتقيان في رأس، أو جنبًا إلى جنب',
  'number-line':
    '{quantity, plural, zero {# خط أعداد} one {خط أعداد واحد (#)} two {خطا أعداد (#)} few {# خطوط أعداد} many {# خط أعداد} other {# خط أعداد}}',
  'number-line.standIn': 'شريط ورق عليه الأعداد بمسافات متساوية، أو شريط قياس',
  'measuring-strip':
    '{quantity, plural, zero {# شريط قياس} one {شريط قياس واحد (#)} two {شريطا قياس (#)} few {# أشرطة قياس} many {# شريط قياس} other {# شريط قياس}}',
  'measuring-strip.standIn': 'مسطرة أو شريط قياس؛ أو قيسوا بعرض اليد',
  'operation-card':
    '{quantity, plural, zero {# بطاقة إشارة} one {بطاقة إشارة واحدة (#)} two {بطاقتا إشارة (#)} few {# بطاقات إشارات} many {# بطاقة إشارة} other {# بطاقة إشارة}}',
  'operation-card.standIn': 'الإشارات مكتوبة على قصاصات',
  plan: '{quantity, plural, zero {# مخطط} one {مخطط واحد (#)} two {مخططان (#)} few {# مخططات} many {# مخططًا} other {# مخطط}}',
  shield:
    '{quantity, plural, zero {# حاجز} one {حاجز واحد (#)} two {حاجزان (#)} few {# حواجز} many {# حاجزًا} other {# حاجز}}',
  'shield.standIn': 'جانب علبة حبوب الفطور',
  bag: '{quantity, plural, zero {# حقيبة برباط} one {حقيبة برباط واحدة (#)} two {حقيبتان برباط (#)} few {# حقائب برباط} many {# حقيبة برباط} other {# حقيبة برباط}}',
  'instruction-sheet':
    '{quantity, plural, zero {# ورقة تعليمات} one {ورقة تعليمات واحدة (#)} two {ورقتا تعليمات (#)} few {# أوراق تعليمات} many {# ورقة تعليمات} other {# ورقة تعليمات}}',
};
