import type { Messages } from '~/core/words/message';

export const trouble: Messages = {
  'away.title': 'Xin chờ một chút',
  'away.text':
    'Hiện không mở được dữ liệu của trường. Những gì đã lưu trước đó vẫn an toàn. Nếu vừa gửi gì, hãy xem đã tới chưa trước khi gửi lại. Thử lại sau một phút.',
  'busy.title': 'Lúc này đang có nhiều người truy cập',
  'busy.text':
    'Trang này chưa kịp chuẩn bị xong. Những gì đã lưu trước đó vẫn an toàn. Xin chờ vài giây rồi thử lại.',
  'twice.title': 'Đã gửi rồi',
  'twice.text':
    'Nội dung này đã được gửi trước đó và chưa biết đã làm xong chưa. Nó không được làm lần thứ hai. Hãy mở lại trang và xem trước khi gửi lần nữa.',
  'empty.title': 'Chưa thiết lập xong',
  'empty.text':
    'Dữ liệu của trường chưa được chuẩn bị cho phiên bản này. Người trông coi máy chủ làm việc đó bằng một lệnh: npm run migrate.',
  'tooLarge.title': 'Gửi quá nhiều một lúc',
  'tooLarge.text':
    'Nội dung gửi đi lớn hơn mọi thứ có ở đây nên không có gì được đọc hay thay đổi. Xin gửi ít hơn mỗi lần.',
  'unreadable.title': 'Không đọc được',
  'unreadable.text':
    'Nội dung gửi đi bị hỏng hoặc không đúng dạng mà trang này biết nên không có gì thay đổi. Xin quay lại, tải lại trang rồi thử lại.',
  'method.title': 'Không có gì thay đổi',
  'method.text': 'Trang này không nhận nội dung được gửi đến.',
  'foreign.title': 'Không có gì thay đổi',
  'foreign.text':
    'Yêu cầu này không đến từ một trang của trường nên không có gì thay đổi. Xin mở lại trang rồi thử lại.',
  'failed.title': 'Có trục trặc ở đây',
  'failed.text':
    'Những gì đã lưu trước đó vẫn an toàn. Xin quay lại và thử lại; nếu xảy ra lần nữa, hãy ghi lại giờ và báo cho người trông coi máy chủ.',
  again: 'Thử lại',
};
