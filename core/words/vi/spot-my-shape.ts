import type { Messages } from '~/core/words/message';

export const spotMyShape: Messages = {
  name: 'Đố con thấy gì',
  goal: 'Chọn một vật trong tầm mắt, gợi ý, và để người khác tìm: có khoảng {things} vật có thể là nó.',
  'setUp.choose': 'Chọn thứ ai cũng thấy được, và đừng nhìn vào nó.',
  'turn.clue':
    '{shape, select, yes {{colour, select, yes {Gợi ý bằng hình dạng hoặc màu: “Tôi thấy thứ gì tròn và đỏ.”} other {Gợi ý bằng hình dạng: “Tôi thấy thứ gì tròn.”}}} other {Gợi ý: “Tôi thấy thứ gì cùng màu với cỏ.”}}',
  'turn.number': 'Hoặc bằng một số: “Nó có {corners} góc.”',
  'turn.guess': 'Người khác lần lượt đoán, và nói vì sao hợp.',
  'turn.hint': 'Bí rồi? Cho thêm một gợi ý.',
  'end.found': 'Ai tìm ra thì chọn vật tiếp theo. Dừng sau khoảng {rounds} câu đố.',
  'easier.two': 'Chỉ vào hai vật: là vật nào?',
  'harder.not': 'Nói nó không phải thế nào: “Nó không có góc.”',
  'sideBySide.team': 'Không cần ai thắng: mọi người khác cùng đoán và thống nhất một câu trả lời.',
  'younger.point': 'Em trên {years} tuổi có thể chỉ tay thay cho nói.',
  'atHome.anywhere': 'Không cần gì cả: bên bàn, ở trạm xe buýt, trong phòng chờ.',
  'say.why': '“Nó có hợp với mọi gợi ý không? Gợi ý nào không hợp?”',
  'play.found':
    'Người chơi {player} cho {told, plural, other {# gợi ý}}, bắt đầu từ {clue, select, shape {hình dạng} number {một số} other {màu}}: đã tìm ra.',
  'play.hint':
    'Người chơi {player} cho {told, plural, other {# gợi ý}}, bắt đầu từ {clue, select, shape {hình dạng} number {một số} other {màu}}: vẫn còn {left} vật hợp, nên thêm một gợi ý.',
  'play.how': '“Gợi ý nào cho con biết?”',
  'play.more': '“Con còn nói được gì về nó?”',
};
