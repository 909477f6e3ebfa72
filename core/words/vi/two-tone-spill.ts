import type { Messages } from '~/core/words/message';

export const twoToneSpill: Messages = {
  name: 'Đổ ra hai màu',
  goal: 'Tìm các cách tạo thành {counters} từ hai phần.',
  'setUp.cup': 'Cho {counters, plural, other {# thẻ tròn hai màu}} vào cốc. Vừa bỏ vào vừa cùng đếm.',
  'setUp.sheet':
    '{players, plural, =1 {Lấy một phiếu ghi có {spills, plural, other {# dòng}}.} other {Đưa mỗi người một phiếu ghi có {spills, plural, other {# dòng}}.}}',
  'turn.spill': 'Lắc cốc rồi nhẹ nhàng đổ thẻ tròn ra bàn.',
  'turn.sort': 'Chia thẻ theo màu thành hai nhóm, đặt lên hai phần của tấm lót.',
  'turn.say': 'Nói mỗi màu có mấy thẻ, và tất cả có mấy: “{a} và {b} là {counters}.”',
  'turn.draw': 'Vẽ chấm của cả hai nhóm vào dòng tiếp theo. Những ngày đầu như vậy là đủ.',
  'turn.write': 'Khi đã dễ, viết cả số: {a}\u00a0+\u00a0{b}\u00a0=\u00a0{counters}.',
  'turn.ordered': '{a} và {b} là một cách; {b} và {a} là cách khác.',
  'turn.unordered': '{a} và {b} là cùng một cách với {b} và {a}.',
  'turn.pass': 'Bỏ thẻ lại vào cốc và chuyền cho người tiếp theo.',
  'end.rows':
    '{players, plural, =1 {Dừng sau {spills, plural, other {# lần đổ}}.} other {Dừng khi mỗi người đã đổ {spills, plural, other {# lần}}.}}',
  'end.look': 'Cùng xem phiếu: cách nào ra nhiều nhất? Tất cả có {ways} cách; không cần tìm hết.',
  'end.turnOver': 'Bây giờ lật từng thẻ, và viết những cách còn thiếu. Tất cả có {ways} cách.',
  'easier.fewer': 'Chơi với {counters, plural, other {# thẻ}}.',
  'easier.sort': 'Chỉ chia và đếm từng màu; nói tổng thì để sau.',
  'harder.more': 'Chơi với {counters, plural, other {# thẻ}}.',
  'harder.hide': 'Dùng tay che một màu. Có mấy thẻ đang trốn?',
  'sideBySide.own':
    'Không cần ai thắng: mỗi người {counters, plural, other {# thẻ}}, chơi cạnh nhau và cùng xem tìm được mấy trong {ways} cách.',
  'younger.line': 'Em trên {years} tuổi có thể đổ cốc và xếp mỗi màu thành hàng để đếm.',
  'atHome.instead': 'Không có thẻ: {counters} mẩu giấy vuông tô màu một mặt, hoặc nắp chai, cũng được.',
  'say.part': 'Chỉ nói một số? “Con thấy {a} thẻ một màu. Màu kia có mấy?”',
  'say.check': 'Chưa chắc? “Mình cùng chạm và đếm từng cái nhé.” Thẻ sẽ cho câu trả lời.',
  'say.more': '“Con tạo được bằng cách khác không?”',
  'caution.small':
    'Có mảnh nhỏ: để thẻ xa tầm tay trẻ dưới {years} tuổi. Đếm đủ {counters} thẻ rồi cất vào túi.',
  'play.spill':
    'Người chơi {player} đổ thẻ ra: {a} thẻ một màu và {b} thẻ màu kia. “{a} và {b} là {counters}.”',
  'play.turnOver': 'Người chơi {player} lật thẻ để ra một cách còn thiếu: “{a} và {b} là {counters}.”',
  'play.new': 'Cách đó mới: “Viết ra nhé. Tiếp theo có thể là gì?”',
  'play.again': 'Cách đó đã có: “Nó ở đâu trên phiếu của con? Sao nó hay ra vậy?”',
  'play.allOne': 'Toàn một màu: “Màu kia không có. Không có thì viết thế nào?”',
  'sheet.both': 'Tất cả: {counters}',
};
