import type { Messages } from '~/core/words/message';

export const numberNests: Messages = {
  name: '数的窝',
  goal: '把每张加法卡送回它的窝：从{from}到{to}。',
  'setUp.nests': '把窝按顺序摆好，从{from}到{to}。',
  'setUp.cards': '{cards, plural, other {把#张加法卡洗好，面朝下放成一叠。}}',
  'turn.card': '翻开最上面的卡，大声读出加法。',
  'turn.lay': '愿意的话，摆{a, plural, other {#个圆片}}一种颜色，{b}个另一种颜色。',
  'turn.nest': '说出答案，把卡放进窝里：{a}\u00a0+\u00a0{b}属于{answer}。',
  'turn.stray': '{strays, plural, other {有#张卡没有窝}}。没有窝的放在旁边。',
  'end.read': '一叠用完以后，一起读一个窝：里面的加法答案都一样。',
  'easier.two': '只用两个窝玩，从{from}的窝开始。',
  'harder.missing': '盖住卡上的一个数：{a}再加几属于{answer}？',
  'play.home': '玩家{player}翻开{a}\u00a0+\u00a0{b}，送回{answer}的窝。',
  'play.stray': '玩家{player}翻开{a}\u00a0+\u00a0{b}：{answer}在这里没有窝。',
};
