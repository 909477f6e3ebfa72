import type { Messages } from '~/core/words/message';

export const marketCups: Messages = {
  name: 'Cốc nhỏ ở chợ',
  goal: 'Bỏ vào vài cốc số miếng bằng nhau. Tất cả có mấy? Đến {cups, plural, other {# cốc}}, mỗi cốc {pieces}.',
  'setUp.cups': '{cups, plural, =1 {Lấy # cốc} other {Xếp chồng # cốc}} và đặt các miếng nỉ bên cạnh.',
  'setUp.dice': 'Xúc xắc cùng màu với cốc nói mấy cốc, xúc xắc kia nói mấy miếng.',
  'setUp.cards': 'Lá đỏ nói mấy cốc, lá đen nói mấy miếng. Làm hai chồng, úp xuống.',
  'turn.again':
    'Cốc từ {cupsFrom} đến {cupsTo}, miếng từ {piecesFrom} đến {piecesTo}: xúc xắc ra số khác thì gieo lại.',
  'turn.cups': 'Xem cần mấy cốc và bày ra: ví dụ {cups, plural, other {# cốc}}.',
  'turn.pieces':
    'Xem cần mấy miếng và bỏ bấy nhiêu vào mỗi cốc: {cups, plural, other {# cốc}}, mỗi cốc {pieces}.',
  'turn.say': 'Nói trước khi đếm: “{cups, plural, other {# nhóm {pieces} là}} {answer}.” Rồi kiểm tra.',
  'turn.draw': 'Vẽ cốc thành vòng tròn có chấm. Những ngày đầu như vậy là đủ.',
  'turn.write': 'Viết bằng dấu: {cups}\u00a0×\u00a0{pieces}\u00a0=\u00a0{answer}.',
  'end.rounds': 'Sau mỗi lượt trả mọi thứ lại. Dừng khi mỗi người đã chơi {rounds, plural, other {# lượt}}.',
  'easier.two': 'Chơi với {cups} cốc: hai cốc luôn bằng nhau.',
  'harder.guess': 'Nói đáp số trước khi có miếng nào trong cốc.',
  'say.each': '“Mỗi cốc mấy miếng? Mấy cốc? Còn tất cả?”',
  'play.groups': 'Người chơi {player}: {cups, plural, other {# cốc, mỗi cốc {pieces}, là}} {answer}.',
  'play.times': 'Người chơi {player}: {cups}\u00a0×\u00a0{pieces}\u00a0=\u00a0{answer}.',
  'play.turned': '“Nếu là {pieces, plural, other {# cốc, mỗi cốc {cups}}} thì sao?”',
  'play.how': '“Con đếm hết, hay đếm theo bước? {cups, plural, other {Có # cốc}}, mỗi cốc {pieces}.”',
  'sheet.cups': 'cốc',
  'sheet.each': 'mỗi cốc',
  'sheet.all': 'tất cả',
};
