import type { Messages } from '~/core/words/message';

export const answerHop: Messages = {
  name: '跳出答案',
  goal: '跳出答案是一的算式，再跳答案是二的、三的，一直到{to}。',
  'setUp.cells': '用粉笔画一个计算器：{digits}个数字各一格，每个符号一格：{signs} =',
  'setUp.start': '前面画一条起跑线。第一个目标是一。',
  'turn.hop': '跳出答案是目标的算式：{a}、{sign}、{b}、=，答案是{target}。',
  'turn.say': '跳到每一格都大声说，最后喊出答案。',
  'turn.next': '对了？下一个人跳下一个目标。还不对？别人可以提示。',
  'end.to': '跳到{to}就完成了。',
  'easier.any': '随便跳一个算式；别人说答案。',
  'harder.other': '同一个算式不能跳两次。',
  'sideBySide.relay': '不用分输赢：接力跳，大家跳同样的目标。',
  'younger.digits': '{years}岁以上的弟弟妹妹可以跳到你喊的数上。',
  'say.stuck': '“你要{target}。如果从{a}开始呢？”',
  'play.hops': '目标{target}：玩家{player}跳{a}\u00a0{sign}\u00a0{b}。',
  'play.other': '“这个有{ways}种跳法。你还知道哪一种？”',
  'play.few': '“这个很难：只有{ways, plural, other {#种}}。找得好。”',
};
