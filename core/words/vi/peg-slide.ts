import type { Messages } from '~/core/words/message';

export const pegSlide: Messages = {
  name: 'Kẹp trượt',
  goal: 'Trượt kẹp trên thẻ và đọc mọi cách tạo thành {whole}.',
  'setUp.card':
    '{cards, plural, =1 {Lấy thẻ có {whole} kẹp.} other {Lấy một trong # thẻ; bắt đầu với thẻ {whole} kẹp.}}',
  'setUp.count': 'Cùng đếm kẹp và đẩy tất cả sang phải. Tổng là {whole}; không bao giờ đổi.',
  'turn.slide': 'Trượt một kẹp sang trái.',
  'turn.say': 'Nói cả hai phần và tổng. Về sau, ví dụ: “{a} và {b} là {whole}.”',
  'turn.write': 'Khi nói đã dễ, viết cặp số vào phiếu: {a}\u00a0+\u00a0{b}\u00a0=\u00a0{whole}.',
  'turn.ordered': '{a} và {b} là một cặp, {b} và {a} là cặp khác: viết cả hai.',
  'turn.unordered': '{a} và {b} là cùng cặp với {b} và {a}: viết một lần, đến giữa thì dừng.',
  'end.all': 'Trò tự kết thúc: sau {ways, plural, other {# cặp}} là đã viết hết mọi cách.',
  'easier.dots': 'Vẽ kẹp thành chấm thay cho viết số.',
  'harder.cover': 'Dùng tay che một bên. Có mấy kẹp đang trốn?',
  'atHome.clips': 'Không có kẹp phơi đồ: gài kẹp giấy vào mép tấm thẻ.',
  'say.pattern': '“Một bên tăng, bên kia giảm. Tiếp theo là gì?”',
  'play.slide': 'Người chơi {player} đọc thẻ: “{a} và {b} là {whole}.”',
  'play.none': '“Bên này không có gì. Không có gì thì viết thế nào?”',
  'play.same': '“Hai bên bằng nhau. Có xảy ra nữa không?”',
  'play.next': '“Trước khi trượt, cặp tiếp theo sẽ là gì?”',
};
