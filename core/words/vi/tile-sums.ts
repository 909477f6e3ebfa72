import type { Messages } from '~/core/words/message';

export const tileSums: Messages = {
  name: 'Cộng đô-mi-nô',
  goal: 'Một quân đô-mi-nô có hai đầu: tất cả mấy chấm? Tổng đến {limit}.',
  'setUp.tiles': 'Úp {tiles} quân đô-mi-nô và trộn. Không quân nào có hơn {limit} chấm.',
  'turn.draw': 'Rút một quân và đặt lên tờ giấy.',
  'turn.count': 'Đếm chấm ở mỗi đầu, rồi đếm tất cả.',
  'turn.say': 'Nói: “{a} và {b} là {answer}.”',
  'turn.write': 'Khi nói đã dễ, viết bên cạnh quân: {a}\u00a0+\u00a0{b}\u00a0=\u00a0{answer}.',
  'end.pile': 'Dừng khi hết quân, hoặc khi đầy tờ giấy.',
  'easier.touch': 'Chạm mỗi chấm một lần; viết thì để sau.',
  'harder.turn': 'Xoay quân lại: {b}\u00a0+\u00a0{a} có bằng {a}\u00a0+\u00a0{b} không?',
  'atHome.draw': 'Không có đô-mi-nô? Vẽ chấm lên hai nửa của tấm bìa gấp đôi.',
  'say.start': '“Ở đây con thấy {a}. Bắt đầu từ {a} rồi đếm tiếp.”',
  'play.tile': 'Người chơi {player} rút {a} và {b}: “Tất cả {answer}.”',
  'play.double': '“Hai đầu giống nhau. Một quân đôi.”',
};
