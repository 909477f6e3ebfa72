import type { Messages } from '~/core/words/message';

export const listenAndMove: Messages = {
  name: 'Nghe rồi làm',
  goal: 'Nghe câu đã hẹn, rồi làm động tác và đếm, đến {most}.',
  'setUp.words': 'Hẹn nhau một câu để bắt đầu động tác, như “thủy triều bảo”.',
  'setUp.room': 'Đứng ở chỗ ai cũng dang được hai tay.',
  'turn.call': 'Người dẫn hô động tác với số lần: “Thủy triều bảo nhảy nhẹ {count} cái.”',
  'turn.move': 'Mọi người làm và đếm to, và dừng ngay sau số cuối.',
  'turn.silent': 'Không có câu đã hẹn thì không ai làm: đứng yên là đúng.',
  'turn.leader': 'Sau vài lần hô, người khác dẫn.',
  'end.calls': 'Dừng sau khoảng {calls} lần hô, có lúc thật chậm.',
  'easier.show': 'Người dẫn làm cùng và đếm với mọi người.',
  'harder.more': 'Làm nhiều hơn số được hô {more} lần.',
  'sideBySide.nobody': 'Không ai bị loại: ai lỡ làm thì cười và hô lần tiếp theo.',
  'younger.copy': 'Em trên {years} tuổi bắt chước động tác.',
  'atHome.anywhere': 'Không cần gì cả: lúc chờ, trên đường, trước khi ngủ với động tác nhỏ.',
  'say.slow': '“Nghe trước, rồi làm.” Nói chậm và khẽ.',
  'say.count': '“Sao con biết lúc nào dừng? Con đã đếm đến {count}.”',
  'caution.space': 'Dọn đồ chơi và thảm trơn khỏi sàn; không nhảy gần cầu thang, bếp hay cửa sổ.',
  'play.call':
    'Người chơi {player} hô có câu đã hẹn: {move, select, hops {{count, plural, other {nhảy # cái}}} claps {{count, plural, other {vỗ tay # cái}}} steps {{count, plural, other {bước # bước}}} turns {{count, plural, other {xoay # vòng}}} nods {{count, plural, other {gật đầu # cái}}} other {{count, plural, other {giậm chân # cái}}}}.',
  'play.silent':
    'Người chơi {player} hô không có câu đã hẹn: {move, select, hops {{count, plural, other {nhảy # cái}}} claps {{count, plural, other {vỗ tay # cái}}} steps {{count, plural, other {bước # bước}}} turns {{count, plural, other {xoay # vòng}}} nods {{count, plural, other {gật đầu # cái}}} other {{count, plural, other {giậm chân # cái}}}}. Không ai làm.',
  'play.aloud': '“Đếm to, và dừng cùng lúc.”',
  'play.stood': '“Con đứng yên: con đã nghe.”',
};
