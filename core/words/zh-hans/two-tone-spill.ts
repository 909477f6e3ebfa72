import type { Messages } from '~/core/words/message';

export const twoToneSpill: Messages = {
  name: '倒一倒，分一分',
  goal: '找出用两部分合成{counters}的各种方法。',
  'setUp.cup': '把{counters, plural, other {#个双色圆片}}放进杯子。一边放，一边一起数。',
  'setUp.sheet':
    '{players, plural, =1 {拿一张有{spills, plural, other {#行}}的记录纸。} other {给每人一张有{spills, plural, other {#行}}的记录纸。}}',
  'turn.spill': '摇一摇杯子，把圆片轻轻倒在桌上。',
  'turn.sort': '按颜色把圆片分成两组，放在垫纸的两部分上。',
  'turn.say': '说出每种颜色有几个，一共有几个：“{a}和{b}合起来是{counters}。”',
  'turn.draw': '在纸的下一行画出两组的圆点。头几天这样就够了。',
  'turn.write': '这样容易了以后，也写数：{a}\u00a0+\u00a0{b}\u00a0=\u00a0{counters}。',
  'turn.ordered': '{a}和{b}是一种方法；{b}和{a}是另一种方法。',
  'turn.unordered': '{a}和{b}跟{b}和{a}是同一种方法。',
  'turn.pass': '把圆片放回去，杯子传给下一个人。',
  'end.rows':
    '{players, plural, =1 {倒{spills, plural, other {#次}}以后停下来。} other {每人都倒过{spills, plural, other {#次}}以后停下来。}}',
  'end.look': '一起看这张纸：哪种方法出现得最多？一共有{ways}种方法；不用全部找到。',
  'end.turnOver': '现在一个一个地翻圆片，把还缺的方法写下来。一共有{ways}种方法。',
  'easier.fewer': '用{counters, plural, other {#个圆片}}玩。',
  'easier.sort': '只分颜色、数每种颜色；说总数可以等以后。',
  'harder.more': '用{counters, plural, other {#个圆片}}玩。',
  'harder.hide': '用手盖住一种颜色。藏了几个？',
  'sideBySide.own':
    '不用分输赢：每人{counters, plural, other {#个圆片}}，并排玩，一起看看{ways}种方法找到了几种。',
  'younger.line': '{years}岁以上的弟弟妹妹可以倒杯子，把每种颜色排成一排来数。',
  'atHome.instead': '没有圆片：{counters}张一面涂色的小方纸，或瓶盖，也可以。',
  'say.part': '只说了一个数？“你看到一种颜色有{a}个。另一种有几个？”',
  'say.check': '不确定？“我们一个一个摸着数。”圆片会告诉我们答案。',
  'say.more': '“能用别的方法合成吗？”',
  'caution.small': '有小零件：不要让{years}岁以下的孩子拿到圆片。玩完把{counters}个都数清楚放回袋子里。',
  'play.spill': '玩家{player}倒出圆片：一种颜色{a}个，另一种{b}个。“{a}和{b}合起来是{counters}。”',
  'play.turnOver': '玩家{player}翻圆片，凑出还缺的方法：“{a}和{b}合起来是{counters}。”',
  'play.new': '这种方法是新的：“写下来。接下来会是什么？”',
  'play.again': '这种方法出现过：“在你的纸上哪里？为什么它常常出现？”',
  'play.allOne': '全是一种颜色：“另一种一个也没有。一个也没有怎么写？”',
  'sheet.both': '一共：{counters}',
};
