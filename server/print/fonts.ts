/** The fonts of paper: opened once, measured by their own tables, embedded in the PDF. */
import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { create, type Font } from 'fontkit';
import { PT_MM, type FontName, type Measure } from '~/core/print/sheet';

const FILES: Record<FontName, string> = {
  body: '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff',
  bold: '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff',
  display: '@fontsource/young-serif/files/young-serif-latin-400-normal.woff',
};

export const fontData = (name: FontName): Buffer => readFileSync(resolve('node_modules', FILES[name]));

const fonts = new Map<FontName, Font>();
const widths = new Map<string, number>();

/** Width of a line in mm; each text is shaped once. */
export const measure: Measure = (text, name, sizePt) => {
  const key = `${name} ${text}`;
  let width = widths.get(key);
  if (width === undefined) {
    const font = fonts.get(name) ?? (create(fontData(name)) as Font);
    fonts.set(name, font);
    width = font.layout(text).advanceWidth / font.unitsPerEm;
    if (widths.size > 50_000) widths.clear();
    widths.set(key, width);
  }
  return width * sizePt * PT_MM;
};
