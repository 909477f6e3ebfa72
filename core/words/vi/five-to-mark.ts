import type { Messages } from '~/core/words/message';

export const fiveToMark: Messages = {
  name: 'Tính tới đích',
  goal: 'Tính ra số đích bằng hai lá trở lên trong {laid} lá trên bàn.',
  'setUp.numbers': 'Bỏ các lá J, Q và K. Át là một.',
  'setUp.faces': 'Át là một, J là {jack}, Q là {queen}, K là {king}.',
  'setUp.jokers': 'Giữ lại hai lá phăng teo; mỗi lá tính {joker}.',
  'setUp.lay': 'Trộn bài, đặt {laid} lá ngửa thành hàng.',
  'turn.target': 'Lật thêm một lá: đó là số đích.',
  'turn.two':
    'Tính ra nó bằng hai lá trở lên trong {laid} lá, mỗi lá dùng một lần. Được dùng các dấu này: {signs}',
  'turn.say': 'Nói cách tính và chỉ các lá, ví dụ: {way}\u00a0=\u00a0{target}.',
  'turn.whole': 'Mỗi bước đều là số tự nhiên và không dưới {zero}.',
  'turn.none': 'Không ai tìm ra cách? Có số đích không có cách nào: lật số mới.',
  'end.used': 'Chỉ thay những lá đã dùng, rồi lật số đích mới. Khi hết chồng, trộn lại bài để bên cạnh.',
  'end.all': 'Đặt bài mới cho mỗi số đích.',
  'end.rounds': 'Dừng sau {rounds, plural, other {# số đích}}.',
  'easier.counters': 'Chỉ dùng hai lá, và xếp bằng thẻ tròn.',
  'harder.more': 'Tìm cách thứ hai, dùng nhiều lá hơn.',
  'say.start': '“Lá nào gần số đích? Cách bao xa?”',
  'play.reaches': 'Các lá {laid}, đích {target}. Người chơi {player} nói: {way}\u00a0=\u00a0{target}.',
  'play.none': 'Các lá {laid}, đích {target}. Người chơi {player} tìm, và không có cách nào.',
  'play.how': '“Con bắt đầu từ đâu?”',
  'play.new': '“Con tìm rất kỹ. Số này không có cách nào; mình lật số đích mới nhé.”',
};
