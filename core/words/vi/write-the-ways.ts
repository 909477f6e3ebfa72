import type { Messages } from '~/core/words/message';

export const writeTheWays: Messages = {
  name: 'Viết mọi cách',
  goal: 'Có bao nhiêu phép tính ra {target}? Viết mọi cách tìm được.',
  'setUp.target': 'Viết {target} ở đầu tờ giấy.',
  'setUp.signs': 'Được dùng các dấu này: {signs}',
  'turn.lay': 'Xếp {target} thẻ tròn rồi tách ra, hoặc lấy bài của trò vừa chơi.',
  'turn.say': 'Nói một cách: “{a}\u00a0{sign}\u00a0{b} là {target}.”',
  'turn.write': 'Khi nói đã dễ, viết vào dòng tiếp theo.',
  'turn.ordered': 'Phép tính đảo lại là cách khác: viết cả hai.',
  'turn.unordered': 'Phép tính đảo lại là cùng một cách: viết một lần.',
  'end.compare':
    'Lật tờ giấy: tất cả {ways, plural, other {có # cách}}. Đánh dấu những cách đã tìm được, và thử một cách còn thiếu.',
  'easier.dots': 'Vẽ chấm hai màu thay cho viết số.',
  'harder.order': 'Tìm một thứ tự để chắc rằng không thiếu cách nào.',
  'atHome.sheet': 'Tờ giấy nào cũng được, cùng đậu hoặc nút áo để tách.',
  'say.pattern': '“Cách nào đến ngay sau cách này?”',
  'play.finds': 'Người chơi {player} tìm ra {a}\u00a0{sign}\u00a0{b}\u00a0=\u00a0{target}.',
  'play.turn': '“Đảo lại được không?”',
};
