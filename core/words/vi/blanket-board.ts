import type { Messages } from '~/core/words/message';

export const blanketBoard: Messages = {
  name: 'Phủ kín bảng',
  goal: '{win, select, full {Rút thăm và che số của mình, cho đến khi một bảng được che kín.} other {Rút thăm và che số của mình, cho đến khi một hàng được che kín.}}',
  'setUp.boards':
    'Đưa mỗi trẻ {boards, plural, other {# bảng ô}} và {cells} thẻ nhỏ cho mỗi bảng. Cùng đọc các số.',
  'setUp.blank':
    'Mỗi trẻ viết {cells} số khác nhau từ {from} đến {to} vào {boards, plural, =1 {bảng trống} other {từng bảng trong # bảng trống}}, và lấy {cells} thẻ nhỏ cho mỗi bảng.',
  'setUp.slips': 'Gấp {slips} thăm số hoặc úp chúng trong bát.',
  'turn.draw': 'Rút một thăm, nói số và đếm chấm: “{number}”.',
  'turn.cover': 'Ai có {number} trên bảng thì che bằng thẻ nhỏ.',
  'turn.view': 'Để thăm ở chỗ nhìn thấy, để không ai phải nhớ.',
  'end.full': 'Bảng đầu tiên che hết {cells} ô là xong.',
  'end.line': 'Bảng đầu tiên che kín một hàng ngang, dọc hoặc chéo là xong.',
  'end.on': 'Chơi tiếp cho đến khi mọi bảng đều xong: ai cũng tới đích.',
  'easier.beside': 'Giơ thăm cạnh bảng: “Có số nào giống số này không?”',
  'harder.dots': 'Chỉ cho xem chấm trên thăm, và che chữ số.',
  'sideBySide.one': 'Không cần ai thắng: đặt mọi bảng cạnh nhau và cùng che như một đội.',
  'younger.cover': 'Em trên {years} tuổi có thể rút thăm và đặt thẻ vào chỗ được chỉ.',
  'say.looks': '“Chưa chắc? Mình đặt thăm bên cạnh nhé. Trông có giống nhau không?”',
  'say.missing': '“Con còn chờ những số nào?”',
  'play.slip': 'Thăm là {number}; {covered, plural, =0 {không bảng nào có} other {# bảng có}}.',
  'play.full': 'Thăm là {number}: bảng của người chơi {player} đã xong, sau {calls} thăm.',
  'play.look': '“Có số nào giống số này không?”',
  'play.keep': '“Không ai cần. Để ở chỗ cả nhà nhìn thấy.”',
  'play.read': '“Đọc các số của con cho cả nhà nghe.”',
};
