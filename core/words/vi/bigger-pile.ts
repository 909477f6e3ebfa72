import type { Messages } from '~/core/words/message';

export const biggerPile: Messages = {
  name: 'Chồng nào lớn hơn',
  goal: '{op, select, compare {Lật bài: số nào lớn hơn?} add {Mỗi người lật hai lá rồi cộng: tổng nào lớn hơn?} subtract {Mỗi người lật hai lá: hiệu nào lớn hơn?} other {Mỗi người lật hai lá rồi nhân: tích nào lớn hơn?}}',
  'setUp.remove': 'Bỏ các lá J, Q và K. Át là một.',
  'setUp.faces': 'Giữ tất cả bài: át là một, J là {jack}, Q là {queen}, K là {king}.',
  'setUp.discard': 'Giữ tất cả bài. Át là một; lá J, Q, K ra thì để sang bên.',
  'setUp.pile': 'Trộn bài và úp thành một chồng mà ai cũng với tới.',
  'setUp.deal': 'Trộn và chia úp hết bài: mỗi người có chồng riêng và lật từ đó.',
  'turn.turn':
    '{players, plural, =1 {Lật {cards, plural, =1 {hai lá, mỗi bên một lá} other {# lá}}.} other {Mỗi người lật {cards, plural, other {# lá}}.}}',
  'turn.compare': 'Nói cả hai số và số nào lớn hơn: “{a} lớn hơn {b}.”',
  'turn.add': 'Mỗi người nói tổng của mình: “{a} và {b} là {answer}.” Rồi nói tổng nào lớn hơn.',
  'turn.subtract': 'Mỗi người nói hiệu của mình: “{a} bớt {b} là {answer}.” Rồi nói hiệu nào lớn hơn.',
  'turn.multiply': 'Mỗi người nói tích của mình: “{a} nhân {b} là {answer}.” Rồi nói tích nào lớn hơn.',
  'turn.signs': 'Đặt thẻ dấu giữa hai đáp số, phía mở quay về số lớn hơn.',
  'turn.take': 'Các lá bài về chồng có đáp số lớn hơn.',
  'turn.again': 'Bằng nhau? Lật lại; đáp số lớn hơn lần sau lấy hết bài.',
  'turn.keep': 'Bằng nhau? Ai giữ bài người nấy.',
  'turn.aside': 'Lá J, Q, K thì để sang bên và lật lá tiếp theo thế vào.',
  'end.rounds':
    'Dừng sau {rounds, plural, other {# vòng}}, khi hết bài. Chồng của ai lớn hơn? Đoán trước rồi đếm.',
  'turn.under': 'Các lá bài vào dưới chồng có đáp số lớn hơn.',
  'end.all':
    'Ai không còn bài để lật thì đã xong. Dừng khi một chồng có hết bài, hoặc khi đã đủ: đoán chồng của ai lớn hơn rồi đếm.',
  'easier.build': 'Xếp mỗi số bằng thẻ tròn, cạnh nhau, và nhìn.',
  'harder.more': 'Nói cả lớn hơn bao nhiêu.',
  'sideBySide.together':
    'Không cần ai thắng: cùng làm một chồng và xem qua mấy vòng thì hai đáp số bằng nhau.',
  'say.muchMore': '“{a} hay {b}: số nào lớn hơn? Lớn hơn bao nhiêu?”',
  'play.most': 'Lật được: {shown}. Người chơi {player} lớn nhất với {answer}.',
  'play.tie': 'Lật được: {shown}. Đáp số lớn nhất, {answer}, ra hai lần.',
  'play.howMuch': '“Lớn hơn bao nhiêu?”',
  'play.howSame': '“Cùng đáp số. Có phải từ cùng các lá bài không?”',
};
