import type { Messages } from '~/core/words/message';

export const trouble: Messages = {
  'away.title': '请稍等',
  'away.text':
    '现在连不上学校的记录。以前保存的都安全。如果您刚发送了什么，请先看看有没有收到，再重新发送。一分钟后再试。',
  'busy.title': '现在访问的人很多',
  'busy.text': '这个页面没能及时准备好。之前保存的内容都是安全的。请等几秒钟再试一次。',
  'twice.title': '已经发送过',
  'twice.text':
    '这项内容之前已经发送，目前还不知道是否已经完成。没有重复执行。请重新打开页面查看，再决定是否再次发送。',
  'empty.title': '还没有准备好',
  'empty.text': '这所学校的记录还没有为这个版本做好准备。管理服务器的人用一个命令就能完成：npm run migrate。',
  'tooLarge.title': '一次发得太多了',
  'tooLarge.text': '发送的内容比这里能放的都大，所以什么也没有读，也没有改。请一次少发一些。',
  'unreadable.title': '读不了',
  'unreadable.text': '发送的内容坏了，或格式不是这个页面认识的，所以什么也没有改。请返回，重新打开页面再试。',
  'method.title': '什么也没有改',
  'method.text': '这个页面不接受发给它的内容。',
  'foreign.title': '什么也没有改',
  'foreign.text': '这个请求不是从这所学校的页面来的，所以什么也没有改。请重新打开页面再试。',
  'failed.title': '这里出了问题',
  'failed.text': '以前保存的都安全。请返回再试；如果又发生，请记下时间，告诉管理服务器的人。',
  again: '再试一次',
};
