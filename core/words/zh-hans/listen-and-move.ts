import type { Messages } from '~/core/words/message';

export const listenAndMove: Messages = {
  name: '听口令动一动',
  goal: '听到说好的话，再动一动、数一数，到{most}。',
  'setUp.words': '说好一句开始动作的话，比如“潮水说”。',
  'setUp.room': '站在大家都能伸开双臂的地方。',
  'turn.call': '领头的人说动作和次数：“潮水说，小跳{count}下。”',
  'turn.move': '大家一边做一边大声数，数完最后一个马上停。',
  'turn.silent': '没有说那句话，谁都不动：站着不动才对。',
  'turn.leader': '说了几次以后换人领头。',
  'end.calls': '大约说{calls}次就停，中间有慢的时候。',
  'easier.show': '领头的人一起做，和大家一起数。',
  'harder.more': '比说的多做{more}下。',
  'sideBySide.nobody': '谁都不出局：不小心动了的人笑一笑，由他说下一个。',
  'younger.copy': '{years}岁以上的弟弟妹妹跟着做动作。',
  'atHome.anywhere': '什么都不用：等的时候、路上、睡前做小动作。',
  'say.slow': '“先听，再动。”说得慢一点、轻一点。',
  'say.count': '“你怎么知道什么时候停？你数到了{count}。”',
  'caution.space': '地上的玩具和会滑的地毯要拿开；不要在楼梯、炉子或窗户旁边跳。',
  'play.call':
    '玩家{player}说了那句话：{move, select, hops {{count, plural, other {跳#下}}} claps {{count, plural, other {拍手#下}}} steps {{count, plural, other {走#步}}} turns {{count, plural, other {转#圈}}} nods {{count, plural, other {点头#下}}} other {{count, plural, other {跺脚#下}}}}。',
  'play.silent':
    '玩家{player}没说那句话：{move, select, hops {{count, plural, other {跳#下}}} claps {{count, plural, other {拍手#下}}} steps {{count, plural, other {走#步}}} turns {{count, plural, other {转#圈}}} nods {{count, plural, other {点头#下}}} other {{count, plural, other {跺脚#下}}}}。谁都不动。',
  'play.aloud': '“大声数，一起停。”',
  'play.stood': '“你没有动：你听得很好。”',
};
