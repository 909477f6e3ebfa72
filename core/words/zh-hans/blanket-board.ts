import type { Messages } from '~/core/words/message';

export const blanketBoard: Messages = {
  name: '盖满格子板',
  goal: '{win, select, full {抽纸条，盖住自己的数，直到一张板全盖满。} other {抽纸条，盖住自己的数，直到盖满一条线。}}',
  'setUp.boards': '给每个孩子{boards, plural, other {#张格子板}}，每张板配{cells}个筹码。一起读数。',
  'setUp.blank':
    '每个孩子在{boards, plural, =1 {空白板上} other {#张空白板的每一张上}}写{cells}个不同的数，从{from}到{to}，每张板拿{cells}个筹码。',
  'setUp.slips': '把{slips}张纸条折起来，或面朝下放在碗里。',
  'turn.draw': '抽一张纸条，说出数，数一数点子：“{number}”。',
  'turn.cover': '板上有{number}的人用筹码盖住它。',
  'turn.view': '纸条放在看得见的地方，这样谁都不用记。',
  'end.full': '最先把{cells}格全盖住的板就完成了。',
  'end.line': '最先盖住一条线的板，横、竖、斜都可以，就完成了。',
  'end.on': '继续玩，直到每张板都完成：大家都会到达。',
  'easier.beside': '把纸条放在板旁边：“有没有一个跟这个像？”',
  'harder.dots': '只给看纸条上的点子，盖住数字。',
  'sideBySide.one': '不用分输赢：把所有的板放在一起，当一个队来盖。',
  'younger.cover': '{years}岁以上的弟弟妹妹可以抽纸条，把筹码放在您指的地方。',
  'say.looks': '“不确定？我们把纸条放在旁边。看起来一样吗？”',
  'say.missing': '“你还在等哪些数？”',
  'play.slip': '纸条是{number}；{covered, plural, =0 {哪张板都没有} other {有#张板有}}。',
  'play.full': '纸条是{number}：玩家{player}的板完成了，一共抽了{calls}张。',
  'play.look': '“有没有一个跟这个像？”',
  'play.keep': '“谁都不需要。放在看得见的地方。”',
  'play.read': '“把你的数读给我们听。”',
};
