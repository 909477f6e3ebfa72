import type { Messages } from '~/core/words/message';

export const frameTrail: Messages = {
  name: 'Đường khung mười',
  goal: '{op, select, add {Đi theo đường: xếp vào khung mười, xếp thêm, và xem tổng. Các số đến {max}.} both {Đi theo đường: xếp vào khung mười, xếp thêm, rồi lấy ra bấy nhiêu. Các số đến {max}.} other {Đi theo đường: xếp vào khung mười, lấy bớt ra, và xem còn mấy. Các số đến {max}.}}',
  'setUp.trail': 'Đặt các trang khung nối nhau như con đường, mỗi trang một thẻ phép tính.',
  'setUp.numbers':
    'Đặt các trang khung nối nhau như con đường, mỗi trang một thẻ phép tính. Các thẻ dấu để sẵn.',
  'setUp.counters': 'Đặt {max} thẻ tròn bên cạnh đường.',
  'turn.card': 'Đến thẻ tiếp theo và đọc phép tính.',
  'turn.first': 'Xếp số đầu, hàng trên {five} ô trước: ví dụ {a}.',
  'turn.on': 'Xếp thêm bằng màu kia: thêm {b}.',
  'turn.off': 'Lấy {b} ra.',
  'turn.saySum': 'Nhìn khung và nói: “{a} và {b} là {answer}.”',
  'turn.sayLeft': 'Nhìn khung và nói: “{a} bớt {b} là {answer}.”',
  'turn.undo':
    'Lấy ra đúng {b} đó và nói: “{answer} bớt {b} là {a}.” Phép tính thứ hai trên thẻ nói như vậy.',
  'turn.lay': 'Dùng thẻ dấu đặt các dấu của phép tính giữa các thẻ tròn hoặc ngón tay: {signs}',
  'turn.sheet': 'Trên phiếu bài tập: vẽ chấm vào khung và viết đáp số.',
  'turn.draw': 'Hôm sau: vẽ chấm vào khung thay cho thẻ tròn.',
  'end.trail': 'Lấy thẻ tròn ra trước khi sang khung tiếp theo. Đường có {problems, plural, other {# bài}}.',
  'easier.colours': 'Không cần thẻ phép tính: xếp kín khung bằng hai màu và nói mỗi màu mấy.',
  'harder.before': 'Nói đáp số trước khi đặt thẻ tròn nào.',
  'atHome.egg': 'Hộp trứng cắt còn mười ô cũng là khung mười.',
  'say.empty': '“Mấy chỗ trống? Còn mấy nữa thì được {ten}?”',
  'play.add': 'Người chơi {player} xếp {a} và thêm {b}: {answer}.',
  'play.both': 'Người chơi {player} xếp {a}, thêm {b}: {answer}. Lấy {b} ra: lại là {a}.',
  'play.back': '“Lúc trước mình có mấy? Sao con biết?”',
  'play.subtract': 'Người chơi {player} xếp {a} và lấy ra {b}: còn {answer}.',
  'play.ten': '“Còn bao xa nữa thì tới {ten}?”',
  'play.see': '“Con thấy còn mấy không?”',
};
