/** Writes CLDR's list of languages, as Node.js knows it, into core/words/cldr.ts. */
import { writeFileSync } from 'node:fs';

/** Languages that are written in more than one script, or otherwise in another country. */
const MORE = ['zh-Hans', 'zh-Hant', 'sr-Latn', 'pa-Arab', 'fa-AF', 'pt-PT', 'az-Arab', 'uz-Cyrl', 'ms-Arab'];
/** Not a language of a family: nobody is at home in it, or it says no script. */
const LEFT_OUT =
  /^(old|middle|ancient|classical|imperial|official|reformed|early|late|church|ancient) |sign language/i;

const english = new Intl.DisplayNames(['en'], { type: 'language', fallback: 'none', style: 'long' });
const letters = [...'abcdefghijklmnopqrstuvwxyz'];
const codes = letters.flatMap((a) =>
  letters.flatMap((b) => [`${a}${b}`, ...letters.map((c) => `${a}${b}${c}`)]),
);

const rows = new Map<string, string>();
for (const code of [...codes, ...MORE]) {
  // "fil" and "tl" are one language: it stands under the tag that CLDR prefers.
  const [tag] = Intl.getCanonicalLocales(code);
  const name = english.of(tag!);
  const { script } = new Intl.Locale(tag!).maximize();
  if (!name || !script || tag === 'zh' || LEFT_OUT.test(name) || rows.has(tag!)) continue;
  const own = Intl.DisplayNames.supportedLocalesOf([tag!]).length
    ? new Intl.DisplayNames([tag!], { type: 'language', fallback: 'none', languageDisplay: 'standard' }).of(
        tag!,
      )
    : undefined;
  const upper = own && own.charAt(0).toLocaleUpperCase(tag) + own.slice(1);
  rows.set(tag!, [tag, name, upper && upper !== name ? upper : '', script].join('|'));
}
const lines = [...rows.values()].sort();
writeFileSync(
  'core/words/cldr.ts',
  `/** The languages of the Common Locale Data Repository, version ${process.versions.cldr}: tag, English name, own name, script. Made by \`npm run languages\`. */\nexport const CLDR = \`\n${lines.join('\n')}\n\`;\n`,
);
console.log(`${lines.length} languages.`);
