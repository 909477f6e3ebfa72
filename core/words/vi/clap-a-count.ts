import type { Messages } from '~/core/words/message';

export const clapACount: Messages = {
  name: 'Vỗ tay đếm số',
  goal: 'Vỗ theo nhịp và đếm theo bước {unit}, đến {end}.',
  'setUp.sit': 'Ngồi đối diện nhau, tay đặt lên đầu gối.',
  'turn.beat': 'Vỗ đầu gối {pats, plural, =1 {một cái} other {# cái}}, rồi vỗ tay: đó là một nhóm {unit}.',
  'turn.say': 'Mỗi nhịp nói thầm, và nhịp vỗ tay nói to: {a}, {b}, {c} …',
  'turn.on': 'Tiếp tục đến {end}: {groups} nhóm {unit}.',
  'turn.swap': 'Lần sau người khác nghĩ nhịp: xoay tay, chạm đầu, giậm chân.',
  'end.patterns': 'Dừng sau {patterns, plural, other {# nhịp}}, có một nhịp thật chậm.',
  'easier.slow': 'Nói to từng nhịp, chậm rãi.',
  'harder.back': 'Bắt đầu ở {end} và đếm ngược.',
  'sideBySide.circle': 'Ngồi thành vòng: mỗi người một nhịp, vòng quanh.',
  'younger.clap': 'Em trên {years} tuổi vỗ tay theo các nhịp to.',
  'atHome.anywhere': 'Chỉ cần đôi tay: trên xe, lúc tắm, khi chờ.',
  'say.many': '“Mấy lần vỗ tay? Mỗi lần là {unit}. Sau {groups} lần thì sao?”',
  'play.pattern': 'Người chơi {player} dẫn nhịp {unit}: {spoken}.',
  'play.groups': '“Đó là mấy nhóm {unit}? {groups}.”',
  'play.next': '“Sau {end} là gì? Thêm {unit}.”',
};
