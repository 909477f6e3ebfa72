import type { Messages } from '~/core/words/message';

export const clapACount: Messages = {
  name: '拍手数数',
  goal: '拍出节奏，每次加{unit}地数，到{end}。',
  'setUp.sit': '面对面坐好，手放在膝盖上。',
  'turn.beat': '拍膝盖{pats, plural, =1 {一下} other {#下}}，再拍手一下：这是一组{unit}。',
  'turn.say': '每一下都小声说，拍手时大声说：{a}、{b}、{c}……',
  'turn.on': '一直到{end}：{groups}组，每组{unit}。',
  'turn.swap': '下次由别人想节奏：转转手、摸摸头、跺跺脚。',
  'end.patterns': '做完{patterns, plural, other {#种节奏}}就停，其中一种要很慢。',
  'easier.slow': '每一下都大声慢慢说。',
  'harder.back': '从{end}开始倒着数。',
  'sideBySide.circle': '围成一圈坐：每人拍一下，轮一圈。',
  'younger.clap': '{years}岁以上的弟弟妹妹跟着大声的拍子拍手。',
  'atHome.anywhere': '只要一双手：在车上、洗澡时、等的时候。',
  'say.many': '“拍了几次手？每次是{unit}。拍{groups}次以后呢？”',
  'play.pattern': '玩家{player}带头拍{unit}的节奏：{spoken}。',
  'play.groups': '“一共有几组{unit}？{groups}组。”',
  'play.next': '“{end}后面是几？再多{unit}。”',
};
