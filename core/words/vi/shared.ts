import type { Messages } from '~/core/words/message';

export const shared: Messages = {
  'caution.small': 'Có mảnh nhỏ: để xa tầm tay trẻ dưới {years} tuổi. Chơi xong đếm đủ rồi cất hết vào túi.',
  'caution.rest': 'Dừng lại khi còn vui. Trẻ mệt thì học được ít; mai chơi tiếp.',
  'caution.floor': 'Dán băng keo chặt cả bốn phía, chơi chân trần hoặc mang giày: đi tất dễ trượt.',
  'caution.outside':
    'Chơi xa lối xe, xe đang đỗ và đường phố, có người lớn bên cạnh. Mang giày và nhìn chỗ đặt chân.',
  'caution.throw':
    'Chờ đến khi không còn ai phía trước rồi mới ném hay lăn. Lăn hoặc ném thấp, không bao giờ ném vào người.',
  'setUp.highest': 'Mỗi người gieo xúc xắc một lần: ai được nhiều nhất thì đi trước. Bằng nhau? Gieo lại.',
  'turn.lineHop': 'Nhảy cả trên tia số: bắt đầu ở {a}, nhảy tới {b} bước, đọc chỗ vừa tới: {answer}.',
  'turn.lineBack': 'Nhảy cả trên tia số: bắt đầu ở {a}, nhảy lùi {b} bước, đọc chỗ vừa tới: {answer}.',
  'turn.lineCompare': 'Tìm cả hai số trên tia số: số ở xa hơn là số lớn hơn.',
  'say.check': 'Chưa chắc? “Mình cùng chạm và đếm từng cái nhé.” Đồ chơi sẽ cho câu trả lời.',
  'say.how': '“Sao con biết?” Cách nào đúng cũng là cách hay.',
  'say.part': 'Chỉ nói được một phần? Nhắc lại điều vừa nghe rồi hỏi: “Còn lại thì sao?”',
  'sideBySide.team': 'Không cần ai thắng: lật ngửa tất cả và chơi chung một đội.',
  'sideBySide.calm': 'Không ai cần phải nhanh. Chơi lần lượt, để mỗi trẻ nghĩ cho xong.',
  'younger.helper': 'Em trên {years} tuổi có thể lật bài và nói trên đó có gì.',
  'younger.counts': 'Em trên {years} tuổi có thể cùng đếm to với cả nhà.',
  'younger.rolls': 'Em trên {years} tuổi có thể gieo xúc xắc và đếm chấm.',
  'atHome.paper': 'Không có phần in sẵn: viết các số đó lên mẩu giấy.',
  'atHome.deck': 'Nhà không có bộ bài? Viết mỗi số lên bốn mẩu giấy.',
  'atHome.dice': 'Nhà không có xúc xắc? Lật từng lá bài từ át đến sáu của một chất.',
  'play.check': '“Mình kiểm tra lại bằng đồ chơi nhé.”',
  'play.how': '“Con nhìn ra bằng cách nào?”',
};
