import type { Messages } from '~/core/words/message';

export const pinNotes: Messages = {
  name: '保龄小算式',
  goal: '对着{pins}个球瓶滚球：倒了几个，还站着几个？',
  'setUp.pins': '在地上把{pins}个球瓶紧挨着摆好，离灯和台阶远一点。',
  'setUp.line': '在三步远的地方放一根绳子：在绳子后面滚球。',
  'turn.roll': '把球滚向球瓶。',
  'turn.count': '数倒下的：例如{pins}个里面倒了{down}个。',
  'turn.say': '说出来：“{pins}减{down}是{answer}。”看一看：站着的是{answer}个吗？',
  'turn.draw': '画出球瓶，把倒下的划掉。',
  'turn.write': '画起来容易了以后，写在记分条上：{pins}\u00a0−\u00a0{down}\u00a0=\u00a0{answer}。',
  'end.card': '每次滚完都把球瓶重新摆好。{rolls, plural, other {滚#次}}以后一张记分条就满了。',
  'easier.near': '走近一步，用少一点球瓶。',
  'harder.before': '别人滚球时闭上眼睛。他们说站着几个：倒了几个？',
  'sideBySide.together': '不用分输赢：一起填满一张记分条，找找还缺哪种结果。',
  'younger.sets': '{years}岁以上的弟弟妹妹可以摆球瓶、数球瓶。',
  'atHome.tubes': '没有球瓶？{pins}个纸筒或空塑料瓶，加一双卷成团的袜子。',
  'say.standing': '“站着几个？倒了几个？一共几个？”',
  'play.roll': '玩家{player}在{pins}个里打倒{down}个：站着{answer}个。',
  'play.none': '“一个也没倒。这怎么写？”',
  'play.all': '“全倒了。还剩几个？”',
  'play.standing': '“不数站着的，能说出来吗？”',
};
