import type { Messages } from '~/core/words/message';

export const numberNests: Messages = {
  name: 'Tổ của các số',
  goal: 'Đưa mỗi thẻ phép cộng về tổ của nó: từ {from} đến {to}.',
  'setUp.nests': 'Xếp các tổ theo thứ tự, từ {from} đến {to}.',
  'setUp.cards': '{cards, plural, other {Trộn # thẻ phép cộng và úp thành chồng.}}',
  'turn.card': 'Lật thẻ trên cùng và đọc to phép cộng.',
  'turn.lay': 'Nếu thích, đặt {a, plural, other {# thẻ tròn}} một màu và {b} thẻ màu kia.',
  'turn.nest': 'Nói đáp số và đặt thẻ vào tổ: {a}\u00a0+\u00a0{b} thuộc về {answer}.',
  'turn.stray': '{strays, plural, other {# thẻ không thuộc tổ nào}}. Để thẻ lạc bên cạnh các tổ.',
  'end.read': 'Khi hết chồng, cùng đọc một tổ: mọi phép cộng trong đó có cùng đáp số.',
  'easier.two': 'Chỉ chơi với hai tổ, bắt đầu từ tổ {from}.',
  'harder.missing': 'Che một số trên thẻ: {a} thêm mấy nữa thì thuộc về {answer}?',
  'play.home': 'Người chơi {player} lật {a}\u00a0+\u00a0{b} và đưa về tổ {answer}.',
  'play.stray': 'Người chơi {player} lật {a}\u00a0+\u00a0{b}: {answer} không có tổ ở đây.',
};
