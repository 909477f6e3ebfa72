import type { Messages } from '~/core/words/message';

export const puzzleHalves: Messages = {
  name: 'Ghép hai nửa',
  goal: 'Tìm hai hình và số khớp với nhau: đáp số đến {max}.',
  'setUp.sort': 'Tháo {puzzles} bộ ghép và chia các mảnh: hình trái, hình phải, số.',
  'setUp.spread': 'Trải ngửa các mảnh ra.',
  'turn.take': 'Lấy một hình trái.',
  'turn.count': 'Tìm hình phải khớp với nó, và đếm cả hai: ví dụ {a} và {b}.',
  'turn.answer': 'Tìm số ở giữa: “{a} và {b} là {answer}.”',
  'turn.check': 'Đẩy các mảnh vào nhau. Nếu đường lượn khớp thì đúng: không ai phải nói.',
  'end.all': 'Dừng khi cả {puzzles} bộ đã ghép xong.',
  'easier.few': 'Bắt đầu với các mảnh của {puzzles} bộ.',
  'harder.cover': 'Để các mảnh ngửa, nhưng nói đáp số trước khi tìm.',
  'younger.picture': 'Em trên {years} tuổi có thể ghép các mảnh theo đường lượn.',
  'atHome.card': 'Cắt bìa làm ba theo đường lượn của riêng mình, và vẽ chấm ở hai bên.',
  'say.cut': '“Thử xem: đường lượn có khớp không? Rồi đếm lại.”',
  'play.fits': 'Người chơi {player} ghép {a} và {b} với {answer}.',
  'play.cut': '“Đường lượn có khớp không?”',
  'play.how': '“Sao con biết phải tìm số nào?”',
};
