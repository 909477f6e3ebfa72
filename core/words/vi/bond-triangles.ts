import type { Messages } from '~/core/words/message';

export const bondTriangles: Messages = {
  name: 'Tam giác tách gộp',
  goal: 'Hai phần và một tổng, đến {whole}: số nào nằm dưới ngón cái?',
  'setUp.pile': 'Úp {cards, plural, other {# thẻ tam giác}} thành chồng.',
  'turn.cover': 'Giơ một thẻ lên, ngón cái che một góc.',
  'turn.whole': 'Ngón cái che tổng ở trên. Thấy {a} và {b}: “Tất cả là mấy?” ({whole})',
  'turn.part': 'Ngón cái che một phần. Thấy {whole} và {b}: “Phần nào đang trốn?” ({a})',
  'turn.any':
    'Ngón cái có thể che bất kỳ góc nào. Thấy {a} và {b}: “Tất cả là mấy?” ({whole}) Thấy {whole} và {b}: “Phần nào đang trốn?” ({a})',
  'turn.lay': 'Chưa chắc? Xếp tổng bằng thẻ tròn rồi lật vài thẻ để ra hai phần.',
  'turn.sentences':
    'Nói điều thẻ cho biết: {a}\u00a0+\u00a0{b}\u00a0=\u00a0{whole} và {whole}\u00a0−\u00a0{a}\u00a0=\u00a0{b}. Đảo phép tính lại được không?',
  'end.pile': 'Dừng khi hết chồng, hoặc khi hôm nay đã đủ.',
  'easier.draw': 'Vẽ một tam giác và đặt chấm vào các góc.',
  'harder.write': 'Tự viết mọi phép tính của một thẻ.',
  'say.story': '“Có {whole} con chim, {a} con bay đi. Còn lại gì?” Một câu chuyện nhỏ sẽ giúp.',
  'play.whole': 'Người chơi {player} thấy {a} và {b}: “Tất cả {whole}.”',
  'play.part': 'Người chơi {player} thấy {seen} và tổng là {whole}: “{hidden} đang trốn.”',
  'play.lay': '“Xếp tổng ra. Lật phần con thấy. Còn lại mấy?”',
};
