import type { Messages } from '~/core/words/message';

export const chalkOrbits: Messages = {
  name: 'Vòng phấn',
  goal: '{op, select, alone {Ném túi hai màu vào các vòng có số, cộng từng màu và so sánh hai tổng.} add {Ném túi vào các vòng có số và cộng điểm đội mình ném trúng.} other {Ném túi vào các vòng có số và nhân các số đội mình ném trúng.}}',
  'setUp.circles':
    'Dùng phấn vẽ {circles} vòng tròn, mỗi vòng rộng khoảng {cm} xăng-ti-mét, và viết một số vào mỗi vòng.',
  'setUp.sizes': 'Vẽ nhỏ hơn các vòng có số lớn hơn: {small, plural, other {# vòng}}, rộng {cm} xăng-ti-mét.',
  'setUp.fields':
    'Dùng phấn vẽ {fields, plural, =1 {một sân} other {# sân}} cạnh nhau, mỗi sân có các số theo bản vẽ của nó: mỗi trẻ ném vào sân hợp với mình.',
  'setUp.colors':
    'Lấy {bags, plural, other {# túi đậu}} mỗi màu của hai màu, ba thẻ dấu, và vẽ vạch ném bằng phấn.',
  'setUp.teams': 'Chia hai đội, mỗi đội {bags, plural, other {# túi đậu}}, và vẽ vạch ném bằng phấn.',
  'turn.throw': 'Một đội ném {bags, plural, =1 {túi} other {# túi}} của mình, lần lượt từng túi.',
  'turn.throwColor':
    'Ném {bags, plural, =1 {túi màu thứ nhất, rồi túi màu thứ hai} other {# túi màu thứ nhất, rồi # túi màu thứ hai}}.',
  'turn.inside': 'Túi được tính khi nằm trọn trong vòng.',
  'turn.touch': 'Túi được tính khi chạm vào vòng.',
  'turn.signs': 'Đặt dấu giữa hai tổng, phía mở quay về số lớn hơn: ví dụ {a}\u00a0<\u00a0{b}.',
  'turn.zero': 'Túi ném trượt được {zero} điểm.',
  'turn.again': 'Túi ném trượt được ném lại.',
  'turn.add': 'Cộng to các số: ví dụ {a}\u00a0+\u00a0{b}\u00a0=\u00a0{answer}.',
  'turn.multiply': 'Nhân to các số: ví dụ {a}\u00a0×\u00a0{b}\u00a0=\u00a0{answer}.',
  'turn.check': 'Đội kia kiểm tra bằng phấn trên nền.',
  'end.best':
    'Đội nhiều hơn thắng vòng. Dừng khi một đội thắng {wins, plural, other {# vòng}} trong nhiều nhất {bestOf}.',
  'end.one': 'Đội nhiều hơn thắng; bằng nhau cũng là kết thúc đẹp.',
  'end.rounds': 'Dừng sau {bestOf, plural, other {# vòng}}, hoặc khi đã đủ.',
  'easier.small': 'Chỉ viết số nhỏ, và vẽ bấy nhiêu chấm bên cạnh mỗi số.',
  'harder.order': 'Chọn thứ tự các số sao cho cộng dễ nhất.',
  'sideBySide.same': 'Ném được sao cho hai tổng bằng nhau không?',
  'sideBySide.one': 'Không cần ai thắng: một đội chung, và xem tới gần con số đã chọn bao nhiêu.',
  'younger.drop': 'Em trên {years} tuổi có thể đứng gần và thả túi vào.',
  'atHome.paper': 'Trong nhà: tờ giấy dán xuống sàn, và tất cuộn tròn.',
  'say.sofar': '“Đến giờ con có mấy? Thêm túi này thì sao?”',
  'play.adds': 'Đội {player}: {thrown}\u00a0=\u00a0{answer}.',
  'play.color': 'Màu thứ nhất: {thrown}\u00a0=\u00a0{answer}.',
  'play.sign': 'Màu thứ hai: {thrown}\u00a0=\u00a0{answer}. Vậy {a}\u00a0{sign}\u00a0{b}.',
  'play.multiplies': 'Đội {player}: {thrown}\u00a0=\u00a0{answer}.',
  'play.easy': '“Con sẽ lấy hai số nào trước?”',
  'play.more': '“Nhiều hơn đội kia mấy?”',
};
