import type { Messages } from '~/core/words/message';

export const answerHop: Messages = {
  name: 'Nhảy ra đáp số',
  goal: 'Nhảy một phép tính có đáp số là một, rồi hai, rồi ba, cứ thế đến {to}.',
  'setUp.cells': 'Dùng phấn vẽ máy tính: mỗi chữ số trong {digits} chữ số một ô, và mỗi dấu một ô: {signs} =',
  'setUp.start': 'Viết vạch xuất phát phía trước. Đích đầu tiên là một.',
  'turn.hop': 'Nhảy một phép tính có đáp số là đích: {a}, {sign}, {b}, = cho {target}.',
  'turn.say': 'Nhảy vào ô nào nói to ô đó, và cuối cùng hô đáp số.',
  'turn.next': 'Đúng? Người tiếp theo nhảy đích tiếp theo. Chưa đúng? Người khác có thể gợi ý.',
  'end.to': 'Xong khi đã nhảy tới {to}.',
  'easier.any': 'Nhảy phép tính bất kỳ; người khác nói đáp số.',
  'harder.other': 'Không phép tính nào được nhảy hai lần.',
  'sideBySide.relay': 'Không cần ai thắng: nhảy tiếp sức, mọi người cùng các đích.',
  'younger.digits': 'Em trên {years} tuổi có thể nhảy đến số được gọi.',
  'say.stuck': '“Con muốn {target}. Nếu bắt đầu ở {a} thì sao?”',
  'play.hops': 'Đích {target}: người chơi {player} nhảy {a}\u00a0{sign}\u00a0{b}.',
  'play.other': '“Số này có {ways} cách. Con biết cách nào khác?”',
  'play.few': '“Số khó: chỉ có {ways, plural, other {# cách}}. Tìm giỏi lắm.”',
};
