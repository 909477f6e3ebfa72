import type { Messages } from '~/core/words/message';

export const cupMachine: Messages = {
  name: 'Máy cốc',
  goal: '{op, select, add {Đổ đầy hai cốc, trút chung lại: máy cho ra mấy?} other {Đổ vào máy, trút bớt ra: bên trong còn mấy?}}',
  'setUp.cups': 'Bày {cups} cốc: hai số nhỏ ở trên, máy ở dưới.',
  'setUp.cards': 'Trộn các thẻ số đến {max} thành hai chồng, mỗi cốc một chồng.',
  'setUp.deck':
    'Lấy từ bộ bài các lá từ át đến {max}; át là một. Trộn lá đỏ thành một chồng, lá đen thành chồng khác, mỗi cốc một chồng.',
  'turn.lay':
    'Xếp phép tính với các thẻ dấu: {a}\u00a0{sign}\u00a0{b}\u00a0=\u00a0{answer}; đáp số thì nói ra, hoặc bày bằng thẻ nhỏ.',
  'turn.cards': 'Lật một thẻ từ mỗi chồng và đọc cả hai số.',
  'turn.fill': 'Đếm bấy nhiêu thẻ nhỏ vào mỗi cốc: ví dụ {a} và {b}.',
  'turn.load': 'Đếm số lớn vào máy: ví dụ {a} thẻ nhỏ.',
  'turn.pour': 'Trút cả hai cốc vào máy.',
  'turn.back': 'Vừa đếm vừa trút số nhỏ ra: {b}.',
  'turn.saySum': 'Nói bây giờ có mấy, rồi đổ ra và đếm: “{a} và {b} là {answer}.”',
  'turn.sayLeft': 'Nói bên trong còn mấy, rồi đổ ra và đếm: “{a} bớt {b} là {answer}.”',
  'turn.draw': 'Hôm sau: vẽ cốc có chấm thay cho đổ đầy.',
  'turn.head': 'Khi đã dễ: chỉ dùng thẻ, và tính nhẩm. Dùng cốc để kiểm tra.',
  'end.problems': 'Dừng sau {problems, plural, other {# bài}}.',
  'easier.same': 'Chỉ lật một thẻ, và bỏ số như nhau vào hai cốc.',
  'harder.missing': 'Làm ngược lại: máy có {answer}, một cốc đã có {a}. Thiếu mấy?',
  'atHome.bowls': 'Ba cái bát cùng đậu khô hoặc nút áo cũng được.',
  'say.on': '“Đã có {a} ở trong. Đếm tiếp từ đó.”',
  'play.add': 'Người chơi {player} trút {a} và {b} chung lại: {answer}.',
  'play.subtract': 'Người chơi {player} trút {b} trong {a} ra: còn {answer}.',
  'play.guess': '“Trước khi đếm, con nghĩ là mấy?”',
  'sheet.pour': 'trút',
  'sheet.draw': 'vẽ',
  'sheet.head': 'nhẩm',
};
