import type { Messages } from '~/core/words/message';

export const spotMyShape: Messages = {
  name: '猜猜我看到什么',
  goal: '从看得到的东西里选一样，给提示，让别人找到它：大约{things}样东西都有可能。',
  'setUp.choose': '选一样大家都能看到的东西，不要盯着它看。',
  'turn.clue':
    '{shape, select, yes {{colour, select, yes {用形状或颜色给提示：“我看到圆的、红的东西。”} other {用形状给提示：“我看到圆的东西。”}}} other {给一个提示：“我看到跟草一样颜色的东西。”}}',
  'turn.number': '或者用数：“它有{corners}个角。”',
  'turn.guess': '别人一个接一个地猜，并说为什么合适。',
  'turn.hint': '猜不出？再给一个提示。',
  'end.found': '谁找到就选下一样东西。大约玩{rounds}个谜就停。',
  'easier.two': '指两样东西：是哪一样？',
  'harder.not': '说它不是什么：“它没有角。”',
  'sideBySide.team': '不用分输赢：其他人一起猜，商量一个答案。',
  'younger.point': '{years}岁以上的弟弟妹妹可以用手指，不用说。',
  'atHome.anywhere': '什么都不用：在桌边、公交站、候诊室。',
  'say.why': '“每个提示都合适吗？哪个不合适？”',
  'play.found':
    '玩家{player}给了{told, plural, other {#个提示}}，先说{clue, select, shape {形状} number {数} other {颜色}}：找到了。',
  'play.hint':
    '玩家{player}给了{told, plural, other {#个提示}}，先说{clue, select, shape {形状} number {数} other {颜色}}：还有{left}样东西合适，再给一个提示。',
  'play.how': '“哪个提示让你知道的？”',
  'play.more': '“你还能说说它别的什么？”',
};
