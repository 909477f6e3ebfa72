import { describe, expect, it } from 'vitest';
import { SHIPPED_LANGUAGES } from './languages';
import { languageFor, TROUBLES, troubleWords } from './trouble';

describe('what the server says when it can show no page', () => {
  it('is said in every home language, in sentences of its own', () => {
    for (const trouble of TROUBLES) {
      const titles = SHIPPED_LANGUAGES.map((language) => {
        const { title, text, again } = troubleWords(trouble, language);
        expect(text).toMatch(/[.؟。]$/);
        expect(title.length * again.length).toBeGreaterThan(0);
        return title;
      });
      expect(new Set(titles).size).toBe(titles.length);
    }
  });

  it.each([
    ['es-MX,es;q=0.9,en;q=0.8', 'es'],
    ['fr,ar;q=0.5,en;q=0.3', 'ar'],
    ['en;q=0.2, pt-BR', 'pt'],
    ['es;q=0, en', 'en'],
    ['zz', 'en'],
    [';;;q=x', 'en'],
    ['constructor', 'en'],
    [null, 'en'],
  ])('is said to a browser that asks for %j in %s', (accept, language) => {
    expect(languageFor(accept)).toBe(language);
  });
});
