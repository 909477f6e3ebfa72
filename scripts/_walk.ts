import { Visitor } from '~/tests/probe/visitor';
const v = new Visitor('http://127.0.0.1:4600');
const a = await v.signIn('Maren', 'fern-and-twine');
console.log(a.status, a.location);
const text = (html: string) => html.replace(/<script[^]*?<\/script>/g,'').replace(/<style[^]*?<\/style>/g,'').replace(/<[^>]+>/g,' ').replace(/\s+/g,' ');
for (const path of process.argv.slice(2)) { const p = await v.get(path); console.log('\n=====', path, p.status); console.log(text(p.text).slice(0, 6000)); }
const links = [...(await v.get('/fill')).text.matchAll(/href="(\/fill\/[0-9a-f-]{36})"/g)].map(m=>m[1]);
console.log([...new Set(links)].join(' '));
