import type { Messages } from '~/core/words/message';

export const pegSlide: Messages = {
  name: '滑动衣夹',
  goal: '在卡片上滑动衣夹，读出合成{whole}的每一种方法。',
  'setUp.card':
    '{cards, plural, =1 {拿出有{whole}个衣夹的卡片。} other {从#张卡片里拿一张；先从{whole}个衣夹的那张开始。}}',
  'setUp.count': '一起数衣夹，全部推到右边。总数是{whole}，永远不变。',
  'turn.slide': '把一个衣夹推到左边。',
  'turn.say': '说出两部分和总数。比如后来：“{a}和{b}合起来是{whole}。”',
  'turn.write': '说起来容易了以后，把这一对写在纸上：{a}\u00a0+\u00a0{b}\u00a0=\u00a0{whole}。',
  'turn.ordered': '{a}和{b}是一对，{b}和{a}是另一对：两对都写。',
  'turn.unordered': '{a}和{b}跟{b}和{a}是同一对：只写一次，到中间就停。',
  'end.all': '会自己结束：写完{ways, plural, other {#对}}，所有方法就都有了。',
  'easier.dots': '不写数，把衣夹画成圆点。',
  'harder.cover': '用手盖住一边。藏了几个衣夹？',
  'atHome.clips': '没有衣夹：把回形针夹在卡片边上。',
  'say.pattern': '“一边变多，另一边变少。接下来是什么？”',
  'play.slide': '玩家{player}读卡片：“{a}和{b}合起来是{whole}。”',
  'play.none': '“这一边什么也没有。什么也没有怎么写？”',
  'play.same': '“两边一样多。还会再出现吗？”',
  'play.next': '“滑动之前想一想，下一对会是什么？”',
};
