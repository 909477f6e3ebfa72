import type { Messages } from '~/core/words/message';

export const writeTheWays: Messages = {
  name: '写出各种算法',
  goal: '有多少个算式等于{target}？把能找到的都写下来。',
  'setUp.target': '在纸的上方写{target}。',
  'setUp.signs': '可以用这些符号：{signs}',
  'turn.lay': '摆{target}个圆片，把它们分开；或者用刚玩过的游戏的牌。',
  'turn.say': '说出一种：“{a}\u00a0{sign}\u00a0{b}等于{target}。”',
  'turn.write': '说起来容易了以后，写在下一行。',
  'turn.ordered': '调过来的算式算另一种：两个都写。',
  'turn.unordered': '调过来的算式是同一种：只写一次。',
  'end.compare': '把纸翻过来：一共{ways, plural, other {有#种}}。找到的打勾，再试一种还缺的。',
  'easier.dots': '不写数，用两种颜色画圆点。',
  'harder.order': '找到一个顺序，这样就能确定一个也不缺。',
  'atHome.sheet': '任何一张纸都可以，用豆子或纽扣来分。',
  'say.pattern': '“这一种后面接着是哪一种？”',
  'play.finds': '玩家{player}找到{a}\u00a0{sign}\u00a0{b}\u00a0=\u00a0{target}。',
  'play.turn': '“能调过来吗？”',
};
