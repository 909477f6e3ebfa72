import { describe, expect, it } from 'vitest';
import { easeWord, reading } from './ease';

const syllables = (language: string, text: string): number | undefined =>
  reading({ language, text }).syllables;

describe('how easily a text reads', () => {
  it('counts words and sentences, and scores them as each language does', () => {
    const english = reading({ language: 'en', text: 'Take a cup. Shake the cup and count the dots.' });
    expect(english).toMatchObject({ words: 10, sentences: 2, syllables: 10, longestSentence: 7 });
    expect(english.score).toBeCloseTo(0.39 * 5 + 11.8 - 15.59, 10);
    const spanish = reading({ language: 'es', text: 'Tire las fichas. Cuente las rojas.' });
    expect(spanish).toMatchObject({ words: 6, sentences: 2, syllables: 10, scale: 'INFLESZ' });
    expect(spanish.score).toBeCloseTo(206.835 - (62.3 * 10) / 6 - 3, 10);
    const portuguese = reading({ language: 'pt-BR', text: 'Jogue as fichas e conte.' });
    expect(portuguese).toMatchObject({ words: 5, sentences: 1, syllables: 8 });
    expect(portuguese.score).toBeCloseTo(248.835 - (84.6 * 8) / 5 - 1.015 * 5, 10);
  });

  it('says of other languages how many words there are, and nothing it cannot know', () => {
    expect(reading({ language: 'vi', text: 'Lắc cốc. Đếm các hạt đỏ.' })).toEqual({
      words: 6,
      longestSentence: 4,
    });
    expect(reading({ language: 'ar', text: 'عُدّوا الحجارة. من يلعب؟' })).toEqual({
      words: 4,
      longestSentence: 2,
    });
    const chinese = reading({ language: 'zh-Hans', text: '摇一摇杯子。数一数红色的圆片。' });
    expect(chinese.longestSentence).toBeLessThan(chinese.words);
    expect(easeWord(chinese)).toBeUndefined();
  });

  it.each([
    ['juego', 2],
    ['leer', 2],
    ['ahora', 3],
    ['maíz', 2],
    ['quién', 1],
    ['guerra', 2],
    ['pingüino', 3],
    ['continúa', 4],
    ['hay', 1],
    ['mayo', 2],
    ['y', 1],
    ['veintiún', 2],
    ['cuidado', 3],
    ['creíais', 3],
    ['chihuahua', 3],
    ['oso', 2],
  ])('hears the syllables of the Spanish word %s', (word, count) => {
    expect(syllables('es', word)).toBe(count);
  });

  it.each([
    ['água', 2],
    ['quatro', 2],
    ['quem', 1],
    ['criança', 3],
    ['história', 3],
    ['tio', 2],
    ['ideia', 3],
    ['avião', 3],
    ['põe', 1],
    ['mães', 1],
    ['saída', 3],
    ['rainha', 3],
    ['ainda', 3],
    ['sair', 2],
    ['muito', 2],
    ['iguais', 2],
    ['coelho', 3],
    ['causa', 2],
  ])('hears the syllables of the Portuguese word %s', (word, count) => {
    expect(syllables('pt', word)).toBe(count);
  });

  it('is harder the longer its sentences and its words are', () => {
    const hard = (language: string, text: string): number => {
      const { score } = reading({ language, text });
      return language === 'en' ? score! : -score!;
    };
    for (const [language, short, many] of [
      ['en', 'Count the dots', 'Enumerate numerous illustrations'],
      ['es', 'Cuente las rojas', 'Contabilice determinadas cantidades'],
      ['pt', 'Conte os dados', 'Contabilize determinadas quantidades'],
    ] as const) {
      expect(hard(language, many)).toBeGreaterThan(hard(language, short));
      expect(hard(language, `${short}, ${short}.`)).toBeGreaterThan(hard(language, `${short}. ${short}.`));
      // The same sentence again changes nothing.
      expect(hard(language, `${short}. ${short}.`)).toBeCloseTo(hard(language, short), 10);
    }
  });

  it('puts a score into a word, from easy to hard', () => {
    const word = (score: number, scale: string) => easeWord({ words: 1, longestSentence: 1, score, scale });
    expect([1, 4, 7, 12].map((score) => word(score, 'Flesch–Kincaid grade'))).toEqual(
      [90, 70, 60, 30].map((score) => word(score, 'INFLESZ')),
    );
    expect(word(90, 'Flesch for Portuguese')).toBe('easy');
    expect(word(10, 'Flesch for Portuguese')).toBe('hard');
  });

  it('refuses what has no word, and what is no language, in a sentence', () => {
    expect(() => reading({ language: 'en', text: ' … !' })).toThrow('there is no word in it.');
    expect(() => reading({ language: 'e', text: 'one' })).toThrow('is not the tag of a language.');
  });
});
