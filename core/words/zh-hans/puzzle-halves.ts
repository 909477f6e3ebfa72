import type { Messages } from '~/core/words/message';

export const puzzleHalves: Messages = {
  name: '拼图两半',
  goal: '找出能拼在一起的两张图和一个数：答案到{max}。',
  'setUp.sort': '把{puzzles}个拼图拆开，把拼图块分好：左图、右图、数。',
  'setUp.spread': '把拼图块面朝上散开。',
  'turn.take': '拿一张左图。',
  'turn.count': '找一张合得上的右图，数一数两边：例如{a}和{b}。',
  'turn.answer': '找到中间的数：“{a}和{b}合起来是{answer}。”',
  'turn.check': '把拼图块推到一起。波浪对得上就是对的：不用别人说。',
  'end.all': '{puzzles}个拼图都拼好了就停。',
  'easier.few': '先用{puzzles}个拼图的块。',
  'harder.cover': '拼图块面朝上，但先说出答案再去找。',
  'younger.picture': '{years}岁以上的弟弟妹妹可以按波浪把块拼起来。',
  'atHome.card': '用自己画的波浪把卡片剪成三块，两边画上点子。',
  'say.cut': '“试一试：波浪对得上吗？再数一遍。”',
  'play.fits': '玩家{player}把{a}和{b}拼上{answer}。',
  'play.cut': '“波浪对得上吗？”',
  'play.how': '“你怎么知道要找哪个数？”',
};
