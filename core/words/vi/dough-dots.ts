import type { Messages } from '~/core/words/message';

export const doughDots: Messages = {
  name: 'Viên bột nặn',
  goal: 'Nặn các viên bột, đè bẹp vài viên, xem còn mấy viên: đến {max}.',
  'setUp.dough': 'Đặt bột lên khay hoặc giấy nến.',
  'setUp.cards': 'Trộn {cards} thẻ và úp xuống.',
  'turn.make': 'Lật một thẻ. Số đầu nói mấy viên: ví dụ nặn {a} viên.',
  'turn.squash': 'Số thứ hai nói đè bẹp mấy viên: {b}.',
  'turn.say': 'Nói: “{a} bớt {b} là {answer}.”',
  'turn.draw': 'Vẽ các viên và gạch những viên bị bẹp.',
  'turn.write': 'Khi vẽ đã dễ, viết: {a}\u00a0−\u00a0{b}\u00a0=\u00a0{answer}.',
  'end.cards': 'Dừng sau {cards, plural, other {# thẻ}}, và đậy hộp thật kín.',
  'easier.five': 'Chỉ lấy các thẻ có số đầu đến {number}.',
  'harder.back': 'Vo những viên bẹp tròn lại: thêm {b} vào chỗ còn lại, và lại có {a}.',
  'younger.balls': 'Em trên {years} tuổi có thể nặn viên và đè bẹp.',
  'say.left': '“Còn mấy viên tròn? Mấy viên bẹp? Tất cả mấy viên?”',
  'caution.dough':
    'Nhiều loại bột nặn có lúa mì: hỏi nhà trường nếu trong nhà có người phải tránh. Chơi xong rửa tay; bột không phải đồ ăn.',
  'play.squash':
    'Người chơi {player} nặn {a, plural, other {# viên}} và đè bẹp {b}: còn {answer, plural, other {# viên}}.',
  'play.none': '“Bẹp hết rồi. Còn mấy viên?”',
  'play.all': '“Không đè viên nào. Còn mấy viên?”',
  'play.left': '“Không đếm mà thấy còn mấy viên không?”',
};
