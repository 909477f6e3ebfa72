import type { Messages } from '~/core/words/message';

export const bondTriangles: Messages = {
  name: '三角卡分合',
  goal: '两部分和一个总数，最大到{whole}：大拇指下面是哪一个？',
  'setUp.pile': '把{cards, plural, other {#张三角卡}}面朝下放成一叠。',
  'turn.cover': '举起一张卡，大拇指盖住一个角。',
  'turn.whole': '大拇指盖住上面的总数。看到{a}和{b}：“一共是几？”（{whole}）',
  'turn.part': '大拇指盖住一部分。看到{whole}和{b}：“哪一部分藏起来了？”（{a}）',
  'turn.any':
    '大拇指可以盖住任何一个角。看到{a}和{b}：“一共是几？”（{whole}）看到{whole}和{b}：“哪一部分藏起来了？”（{a}）',
  'turn.lay': '不确定？用圆片摆出总数，翻几个，分成两部分。',
  'turn.sentences':
    '说出卡片讲的：{a}\u00a0+\u00a0{b}\u00a0=\u00a0{whole}，{whole}\u00a0−\u00a0{a}\u00a0=\u00a0{b}。算式能调过来吗？',
  'end.pile': '一叠用完，或今天够了，就停下来。',
  'easier.draw': '画一个三角形，在角里画点子。',
  'harder.write': '不用帮忙，写出一张卡的所有算式。',
  'say.story': '“有{whole}只鸟，飞走了{a}只。还剩几只？”讲个小故事会有帮助。',
  'play.whole': '玩家{player}看到{a}和{b}：“一共{whole}。”',
  'play.part': '玩家{player}看到{seen}和总数{whole}：“藏起来的是{hidden}。”',
  'play.lay': '“摆出总数。把看到的翻过去。还剩几个？”',
};
