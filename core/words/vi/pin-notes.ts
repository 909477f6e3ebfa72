import type { Messages } from '~/core/words/message';

export const pinNotes: Messages = {
  name: 'Lăn bóng ghi số',
  goal: 'Lăn bóng vào {pins} con ky: mấy con đổ, mấy con đứng?',
  'setUp.pins': 'Dựng {pins} con ky sát nhau trên sàn, xa đèn và bậc thềm.',
  'setUp.line': 'Đặt một sợi dây cách ba bước: lăn từ phía sau dây.',
  'turn.roll': 'Lăn bóng vào các con ky.',
  'turn.count': 'Đếm những con bị đổ: ví dụ {down} trên {pins}.',
  'turn.say': 'Nói: “{pins} bớt {down} là {answer}.” Nhìn xem: có {answer} con đứng không?',
  'turn.draw': 'Vẽ các con ky và gạch những con bị đổ.',
  'turn.write': 'Khi vẽ đã dễ, viết vào dải ghi điểm: {pins}\u00a0−\u00a0{down}\u00a0=\u00a0{answer}.',
  'end.card': 'Dựng lại mọi con ky sau mỗi lần lăn. Một dải đầy sau {rolls, plural, other {# lần lăn}}.',
  'easier.near': 'Lại gần một bước, và dùng ít con ky hơn.',
  'harder.before': 'Nhắm mắt khi người khác lăn. Họ nói mấy con đứng: mấy con đổ?',
  'sideBySide.together': 'Không cần ai thắng: cùng điền một dải và tìm kết quả còn thiếu.',
  'younger.sets': 'Em trên {years} tuổi có thể dựng các con ky và đếm.',
  'atHome.tubes': 'Không có con ky? {pins} ống giấy hoặc chai nhựa rỗng, và một đôi tất cuộn tròn.',
  'say.standing': '“Mấy con đứng? Mấy con nằm? Tất cả mấy con?”',
  'play.roll': 'Người chơi {player} làm đổ {down} trên {pins}: còn {answer} đứng.',
  'play.none': '“Không con nào đổ. Viết thế nào?”',
  'play.all': '“Đổ hết. Còn lại gì?”',
  'play.standing': '“Không đếm con đứng mà nói được không?”',
};
