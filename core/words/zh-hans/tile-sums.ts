import type { Messages } from '~/core/words/message';

export const tileSums: Messages = {
  name: '多米诺加法',
  goal: '一张多米诺有两头：一共有几个点子？和到{limit}。',
  'setUp.tiles': '把{tiles}张多米诺面朝下混一混。每张的点子都不超过{limit}个。',
  'turn.draw': '抽一张多米诺，放在纸上。',
  'turn.count': '数每一头的点子，再数全部。',
  'turn.say': '说出来：“{a}和{b}合起来是{answer}。”',
  'turn.write': '说起来容易了以后，写在旁边：{a}\u00a0+\u00a0{b}\u00a0=\u00a0{answer}。',
  'end.pile': '多米诺用完，或纸写满了，就停。',
  'easier.touch': '每个点子摸一下；写可以等以后。',
  'harder.turn': '把多米诺转过来：{b}\u00a0+\u00a0{a}跟{a}\u00a0+\u00a0{b}一样吗？',
  'atHome.draw': '没有多米诺？在对折的卡片两半上画点子。',
  'say.start': '“你这里看到{a}。从{a}接着往下数。”',
  'play.tile': '玩家{player}抽到{a}和{b}：“一共{answer}。”',
  'play.double': '“两头一样。是一张对子。”',
};
