/** One word for one thing: what each language calls the things of the games, and the words that it does not use for them. */
import { literalsOf } from './inspect';
import { aboutLanguage, type Language } from './languages';

export interface Term {
  /** The thing, as it is called in English. */
  thing: string;
  /** What lines of the language call it. */
  say: string;
  /** Other words for it, which a family would take for another thing. */
  not: readonly string[];
}
const term = (thing: string, say: string, ...not: string[]): Term => ({ thing, say, not });

const GLOSSARY: Readonly<Record<Language, readonly Term[]>> = {
  en: [
    term('counter', 'counter', 'disc', 'disk'),
    term('dice', 'dice', 'number cube'),
    term('deck', 'deck', 'pack of cards'),
    term('clothespin', 'clothespin', 'clothes peg', 'clothes-peg'),
    term('cup', 'cup', 'mug', 'beaker'),
    term('pile', 'pile', 'heap'),
    term('sum', 'sum', 'summation'),
    term('number sentence', 'number sentence', 'equation'),
    term('color', 'color', 'colour'),
    term('player', 'player', 'participant'),
  ],
  es: [
    term('counter', 'ficha', 'disco', 'contador'),
    term('cube', 'cubo', 'dado numerado'),
    term('deck', 'baraja', 'mazo'),
    term('card', 'carta', 'naipe'),
    term('clothespin', 'pinza', 'broche', 'gancho'),
    term('cup', 'vaso', 'taza', 'cubilete'),
    term('pile', 'montón', 'pila'),
    term('floor', 'piso', 'suelo'),
    term('chalk', 'gis', 'tiza'),
    term('sum', 'suma', 'adición'),
    term('number sentence', 'operación', 'ecuación', 'oración numérica', 'frase numérica'),
  ],
  pt: [
    term('counter', 'ficha', 'disco', 'contador'),
    term('deck', 'baralho', 'maço'),
    term('clothespin', 'prendedor', 'pregador'),
    term('cup', 'copo', 'xícara', 'caneca'),
    term('pile', 'monte', 'pilha'),
    term('floor', 'chão', 'piso'),
    term('player', 'participante', 'jogador', 'jogadora'),
    term('turn', 'vez', 'turno'),
    term('bag', 'sacola', 'bolsa'),
    term('sum', 'soma', 'adição'),
    term('number sentence', 'conta', 'equação', 'sentença numérica'),
  ],
  ar: [
    term('counter', 'قرص', 'فيشة'),
    term('dice', 'نرد', 'زهر'),
    term('deck', 'رزمة', 'كوتشينة', 'شدة'),
    term('clothespin', 'مشبك', 'ملقط'),
    term('cup', 'كوب', 'كأس', 'قدح'),
    term('sum', 'مجموع', 'حاصل'),
    term('number sentence', 'عملية', 'معادلة', 'جملة عددية'),
    term('player', 'لاعب', 'مشارك'),
  ],
  vi: [
    term('dice', 'xúc xắc', 'xí ngầu', 'xúc sắc'),
    term('card', 'lá bài', 'quân bài', 'cây bài'),
    term('cup', 'cốc', 'ly'),
    term('pile', 'chồng', 'đống'),
    term('bag', 'túi', 'giỏ'),
    term('number sentence', 'phép tính', 'phương trình'),
    term('player', 'người chơi', 'đấu thủ'),
  ],
  'zh-Hans': [
    term('counter', '圆片', '圆盘'),
    term('dice', '骰子', '色子'),
    term('clothespin', '衣夹', '晾衣夹'),
    term('number sentence', '算式', '等式', '方程'),
    term('player', '玩家', '游戏者', '参与者'),
    term('turn', '轮到', '回合'),
    term('bag', '袋', '背包'),
    term('sum', '和', '总和'),
  ],
};

/** The glossary of a language; none for one that ships without wording. */
export const glossaryOf = (language: Language): readonly Term[] => GLOSSARY[language] ?? [];

/** Words that are written without spaces between them, or grow at their front. */
const BOUNDS: Readonly<Record<string, readonly [before: string, after: string]>> = {
  Hans: ['', ''],
  Hant: ['', ''],
  Arab: ['(?<![\\p{L}])(?:[وف]?(?:ال|لل|بال|كال|[بكل])?)', '(?:ات|ة|ان|ين|ون|ا)?(?![\\p{L}])'],
};
const LATIN = ['(?<![\\p{L}])', '(?:s|es)?(?![\\p{L}])'] as const;

/** Whether a text has a word, alone or as one of several. */
export function hasWord(text: string, word: string, language: Language): boolean {
  const [before, after] = BOUNDS[aboutLanguage(language).script] ?? LATIN;
  return new RegExp(before + word + after, 'iu').test(text);
}

/** Words of a message for which its language has another one. Throws SyntaxError when it is not well formed. */
export function otherWords(message: string, language: Language): { found: string; say: string }[] {
  const text = literalsOf(message).join(' · ').normalize('NFC');
  return glossaryOf(language).flatMap(({ say, not }) =>
    not.filter((word) => hasWord(text, word, language)).map((found) => ({ found, say })),
  );
}
