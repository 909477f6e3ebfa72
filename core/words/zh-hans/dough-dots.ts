import type { Messages } from '~/core/words/message';

export const doughDots: Messages = {
  name: '彩泥圆球',
  goal: '搓彩泥球，压扁几个，看看还剩几个：到{max}。',
  'setUp.dough': '把彩泥放在托盘或烘焙纸上。',
  'setUp.cards': '把{cards}张卡洗好，面朝下放。',
  'turn.make': '翻一张卡。第一个数表示几个球：例如做{a}个。',
  'turn.squash': '第二个数表示压扁几个：{b}。',
  'turn.say': '说出来：“{a}减{b}是{answer}。”',
  'turn.draw': '画出球，把压扁的划掉。',
  'turn.write': '画起来容易了以后，写出来：{a}\u00a0−\u00a0{b}\u00a0=\u00a0{answer}。',
  'end.cards': '做完{cards, plural, other {#张卡}}就停，把盒子盖紧。',
  'easier.five': '只用第一个数不超过{number}的卡。',
  'harder.back': '把压扁的再搓成球：剩下的加上{b}，又是{a}了。',
  'younger.balls': '{years}岁以上的弟弟妹妹可以搓球和压扁。',
  'say.left': '“还有几个是圆的？几个是扁的？一共几个？”',
  'caution.dough': '很多彩泥含小麦：问问学校，家里有没有人不能碰。玩完洗手；彩泥不能吃。',
  'play.squash': '玩家{player}做了{a, plural, other {#个球}}，压扁{b}个：还剩{answer, plural, other {#个}}。',
  'play.none': '“全扁了。还剩几个？”',
  'play.all': '“一个也不压。还有几个？”',
  'play.left': '“不数能看出还剩几个吗？”',
};
