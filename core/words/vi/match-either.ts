import type { Messages } from '~/core/words/message';

export const matchEither: Messages = {
  name: 'Cùng màu hay cùng số',
  goal: 'Đặt lá cùng màu hoặc cùng số, từ {from} đến {to}.',
  'setUp.deal': 'Trộn {cards} thẻ và chia mỗi người {hand} thẻ.',
  'setUp.open': 'Đặt thẻ ngửa trước mặt để ai cũng giúp được.',
  'setUp.closed': 'Cầm thẻ sao cho chỉ mình thấy.',
  'setUp.first': 'Úp phần còn lại ở giữa và lật một thẻ bên cạnh.',
  'turn.lay': 'Đặt lên thẻ đã lật một thẻ cùng màu hoặc cùng số.',
  'turn.say': 'Nói chỗ giống nhau: “{number} với {number}”, hoặc tên màu.',
  'turn.draw': 'Không có gì giống? Bốc một thẻ; nếu hợp thì được đặt.',
  'end.empty': 'Trò kết thúc khi có người hết thẻ. Những người khác cho xem thẻ lẽ ra đặt được.',
  'easier.colour': 'Chỉ xét màu.',
  'harder.next': 'Sau một số cũng được đặt số liền sau hoặc liền trước.',
  'younger.same': 'Em trên {years} tuổi có thể tìm thẻ giống thẻ được chỉ.',
  'say.why': '“Sao thẻ này hợp? Có thẻ nào khác cũng hợp không?”',
  'play.colour': 'Người chơi {player} đặt số {number} cùng màu.',
  'play.number': 'Người chơi {player} đặt số {number} lên số {number}.',
  'play.draws': 'Người chơi {player} không có gì hợp với {number} và bốc.',
  'play.why': '“Sao nó hợp?”',
  'play.look': '“Nhìn màu trước, rồi nhìn số.”',
};
