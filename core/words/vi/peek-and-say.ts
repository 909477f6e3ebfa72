import type { Messages } from '~/core/words/message';

export const peekAndSay: Messages = {
  name: 'Nhìn nhanh rồi nói',
  goal: 'Nhìn một chút, rồi che lại: có mấy? Đến {max}.',
  'setUp.cards': 'Trộn {cards} thẻ chấm và úp xuống.',
  'setUp.cover': 'Chuẩn bị khăn che, hoặc bàn tay.',
  'setUp.shield': 'Cắt một mặt của hộp ngũ cốc: đó là tấm chắn che thẻ.',
  'turn.show':
    'Nói “Sẵn sàng, nhìn” và cho xem thẻ trong {seconds, plural, other {# giây}}: đếm chậm trong đầu.',
  'turn.cover': 'Che lại. Chưa che thì không ai nói.',
  'turn.say': 'Hỏi: “Con thấy mấy?” Ví dụ: “{number}.”',
  'turn.sayTwo': 'Hỏi: “Mỗi nhóm mấy, và tất cả mấy?” Ví dụ: “{a} và {b}: {answer}.”',
  'turn.again': 'Chưa chắc? Nhìn thêm một lần, lâu như cũ, rồi nói lại.',
  'turn.writeTwo': 'Viết cả hai số và tổng: {a}\u00a0+\u00a0{b}\u00a0=\u00a0{answer}.',
  'turn.look': 'Cùng nhìn lại. Thẻ cho câu trả lời.',
  'turn.write': 'Viết số ra.',
  'end.pile': 'Dừng khi hết chồng, hoặc khi mắt mỏi.',
  'easier.longer': 'Để thẻ trong tầm mắt cho đến khi trẻ trả lời.',
  'harder.draw': 'Trước khi nhìn lại, vẽ điều đã thấy, đúng chiều như vậy.',
  'younger.fingers': 'Em trên {years} tuổi có thể giơ bấy nhiêu ngón tay.',
  'atHome.beans': 'Không có thẻ: đặt đậu lên đĩa, và úp bát lên.',
  'say.fingers': 'Chưa chắc? “Giơ ngón tay cho biết con đã thấy mấy.” Rồi nhìn lại: có {number} không?',
  'say.saw': 'Chỉ nói một nhóm? “Con thấy {a} ở một bên. Bên kia có gì?”',
  'play.one': 'Người chơi {player} nhìn nhanh và nói {number}.',
  'play.two': 'Người chơi {player} nhìn nhanh và nói: {a} và {b}, tất cả {answer}.',
  'play.how': '“Sao con nhìn ra nhanh vậy?”',
  'play.part': '“Con thấy {a}. Còn lại thì sao?”',
};
