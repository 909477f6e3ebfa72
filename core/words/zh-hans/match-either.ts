import type { Messages } from '~/core/words/message';

export const matchEither: Messages = {
  name: '同色或同数',
  goal: '放一张颜色相同或数相同的牌，从{from}到{to}。',
  'setUp.deal': '把{cards}张牌洗好，每人发{hand}张。',
  'setUp.open': '把牌面朝上放在自己面前，这样大家都能帮忙。',
  'setUp.closed': '拿好牌，只让自己看到。',
  'setUp.first': '剩下的面朝下放在中间，旁边翻开一张。',
  'turn.lay': '在翻开的牌上放一张同颜色或同数的牌。',
  'turn.say': '说出哪里一样：“{number}对{number}”，或说颜色。',
  'turn.draw': '都不一样？摸一张牌；如果一样，就可以放。',
  'end.empty': '有人手里没有牌了，游戏就结束。其他人说说自己接下来能放什么。',
  'easier.colour': '只看颜色。',
  'harder.next': '也可以放大一个或小一个的数。',
  'younger.same': '{years}岁以上的弟弟妹妹可以找出跟你指的那张看起来一样的牌。',
  'say.why': '“为什么这张可以？还有别的也可以吗？”',
  'play.colour': '玩家{player}放了一张同颜色的{number}。',
  'play.number': '玩家{player}在{number}上放了一张{number}。',
  'play.draws': '玩家{player}没有能配{number}的，摸了一张。',
  'play.why': '“为什么可以？”',
  'play.look': '“先看颜色，再看数。”',
};
