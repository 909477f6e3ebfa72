import type { Messages } from '~/core/words/message';

export const storyPond: Messages = {
  name: '故事池塘',
  goal: '两种小动物在池塘见面：一共有几只？到{max}。',
  'setUp.pond': '把画着池塘的垫纸放在桌上，按种类把小动物分好。',
  'setUp.cards': '把{cards}张卡洗好，面朝下放。',
  'turn.card': '翻一张卡：它说每种有几只，例如{a}和{b}。',
  'turn.lay': '把它们放进池塘：一种{a}只，另一种{b}只。',
  'turn.tell': '讲个小故事：谁先在那里，谁又游过来了？',
  'turn.all': '一共几只？“{a}和{b}合起来是{answer}。”',
  'turn.tile': '把数字卡放在池塘旁边：{answer}。',
  'turn.write': '在垫纸上写出数：{answer}。讲下一个故事前用布擦掉。',
  'end.stories': '讲完{stories, plural, other {#个故事}}就停。所有小动物回家。',
  'easier.one': '只用一种小动物玩，数一数。',
  'harder.leave': '让几只游走：还有几只？',
  'atHome.blue': '蓝毛巾也是池塘，加两种纽扣或豆子。',
  'say.kinds': '只数了一种？“你数了这种{a}只。别的呢？”',
  'play.story': '玩家{player}把{a}只和{b}只放进池塘：一共{answer}只。',
  'play.tell': '“谁先来的？后来谁来了？”',
  'play.part': '“你看到这种有{a}只。别的呢？”',
};
