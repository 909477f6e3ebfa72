import type { Messages } from '~/core/words/message';

export const storyPond: Messages = {
  name: 'Ao kể chuyện',
  goal: 'Hai loại con vật gặp nhau ở ao: tất cả mấy con? Đến {max}.',
  'setUp.pond': 'Đặt tấm lót có ao lên bàn và chia con vật theo loại.',
  'setUp.cards': 'Trộn {cards} thẻ và úp xuống.',
  'turn.card': 'Lật một thẻ: nó nói mỗi loại mấy con, ví dụ {a} và {b}.',
  'turn.lay': 'Đặt chúng vào ao: {a} con một loại, {b} con loại kia.',
  'turn.tell': 'Kể một câu chuyện nhỏ: ai ở đó trước, và ai bơi đến?',
  'turn.all': 'Tất cả mấy con? “{a} và {b} là {answer}.”',
  'turn.tile': 'Đặt thẻ số cạnh ao: {answer}.',
  'turn.write': 'Viết số lên tấm lót: {answer}. Lau bằng khăn trước câu chuyện tiếp theo.',
  'end.stories': 'Dừng sau {stories, plural, other {# câu chuyện}}. Mọi con vật về nhà.',
  'easier.one': 'Chỉ chơi với một loại con vật, và đếm.',
  'harder.leave': 'Cho vài con bơi đi: còn mấy con?',
  'atHome.blue': 'Khăn xanh cũng là ao, cùng hai loại nút áo hoặc đậu.',
  'say.kinds': 'Chỉ đếm một loại? “Con đếm {a} con loại này. Còn loại kia?”',
  'play.story': 'Người chơi {player} đặt {a} và {b} con vào ao: tất cả {answer}.',
  'play.tell': '“Ai đến trước? Rồi ai đến?”',
  'play.part': '“Con thấy {a} con loại này. Còn loại kia?”',
};
