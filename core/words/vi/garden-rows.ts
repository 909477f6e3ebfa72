import type { Messages } from '~/core/words/message';

export const gardenRows: Messages = {
  name: 'Luống vườn',
  goal: '{way, select, count {Xếp hàng theo thẻ, rồi tìm hai số của nó trên tấm lót. Nhiều nhất {max} khối.} sum {Xếp hàng theo thẻ, rồi tìm trên tấm lót nó có mấy khối. Nhiều nhất {max}.} other {Mỗi người xếp một hàng: hàng dài hơn che số của mình trên tấm lót. Nhiều nhất {max} khối.}}',
  'setUp.mat': 'Đặt tấm lót lên bàn và cùng đọc các số.',
  'setUp.cubes': 'Đặt khối bên cạnh, chia màu: {first} khối một màu và {second} khối màu khác.',
  'setUp.cards': 'Trộn {cards} thẻ hình và úp xuống.',
  'setUp.chips': 'Chuẩn bị {cells, plural, other {# thẻ nhỏ}} để che ô.',
  'setUp.sides': 'Mỗi người lấy một mặt của thẻ tròn làm màu.',
  'turn.build': 'Lật một thẻ và xếp hàng: ô đậm một màu, ô nhạt màu kia.',
  'turn.both': 'Mỗi người lật một thẻ và xếp hàng, ô đậm một màu, ô nhạt màu kia.',
  'turn.numbers': 'Đếm mỗi màu: ví dụ {a} và {b}. Tìm ô có cả hai số và che lại.',
  'turn.sum': 'Đếm mỗi màu và nói tất cả mấy: “{a} và {b} là {answer}.” Tìm đáp số và che một ô.',
  'turn.longer':
    'Mỗi người nói của mình: “{a} và {b} là {answer}.” Hàng dài hơn che một ô có đáp số của nó. Dài bằng nhau? Cả hai che một ô.',
  'turn.apart': 'Tháo hàng ra và trả khối về đúng màu.',
  'turn.draw': 'Hôm sau: tô hàng trên giấy kẻ ô thay cho xếp.',
  'turn.write': 'Khi đã dễ, viết: {a}\u00a0+\u00a0{b}\u00a0=\u00a0{answer}.',
  'end.all': 'Khi cả {cells} ô đã được che, lấy từng thẻ nhỏ ra và nói bên dưới là gì.',
  'end.rounds': 'Dừng sau {rounds, plural, other {# vòng}}, khi hết thẻ. Đoán ai che nhiều ô hơn, rồi đếm.',
  'easier.beside': 'Đặt thẻ cạnh tấm lót và xếp ngay trên thẻ.',
  'harder.hide': 'Nhìn thẻ, úp xuống, và xếp hàng theo trí nhớ.',
  'atHome.paper': 'Hai loại đậu hoặc nút áo xếp thành hàng cũng được.',
  'say.turned': '“Xoay hàng lại thì có còn là số đó không?”',
  'play.count': 'Người chơi {player} xếp {a} và {b}, và che ô có cả hai số.',
  'play.sum': 'Người chơi {player} xếp {a} và {b}: {answer}, và che lại.',
  'play.longer':
    'Một hàng có {a} và {b}, hàng kia {c} và {d}: {answer} nhiều hơn. Người chơi {player} che ô đó.',
  'play.same': 'Một hàng có {a} và {b}, hàng kia {c} và {d}: cả hai là {answer}, và cả hai che một ô.',
  'play.which': '“Màu nào nhiều hơn? Nhiều hơn mấy?”',
  'play.see': '“Không đếm từng cái mà thấy có mấy không?”',
  'play.measure': '“Đặt hai hàng cạnh nhau. Dài hơn bao nhiêu?”',
};
