import { createGlobalStyle, css } from 'styled-components';

/** Colours, by what they are of. Text on paper and paper on fern, clay, shore and deep fern reach 4.5 : 1. */
export const color = {
  paper: '#FBF7EC',
  sheet: '#FFFDF6',
  ink: '#22312A',
  faint: '#5A665F',
  line: '#CFC7B0',
  fern: '#2F6B4A',
  deepFern: '#1D4733',
  sprout: '#E4EDDD',
  clay: '#B4532F',
  clayLight: '#F8E6DC',
  straw: '#E3B64B',
  strawLight: '#FAEFCF',
  shore: '#3C6E8F',
  shoreLight: '#E1ECF2',
} as const;

const SCRIPTS = `'Noto Sans Arabic', 'Noto Sans Hebrew', 'Noto Sans Devanagari', 'Noto Sans Bengali', 'Noto Sans Ethiopic'`;
const LATIN = {
  body: `'Atkinson Hyperlegible Next', 'Noto Sans'`,
  display: `'Young Serif', 'Noto Sans'`,
} as const;
const HAN = `'Noto Sans SC', 'Noto Sans TC'`;

export const type = {
  body: `${LATIN.body}, ${SCRIPTS}, ${HAN}, sans-serif`,
  display: `${LATIN.display}, ${SCRIPTS}, ${HAN}, serif`,
} as const;

/** The fonts of a text in a language: Vietnamese stands in one font with all its letters, each Chinese in its own. */
export function familiesOf(font: keyof typeof type, language?: string): string {
  if (language === 'vi') return `'Noto Sans', ${LATIN[font]}, sans-serif`;
  if (language === 'zh-Hant') return `${LATIN[font]}, 'Noto Sans TC', 'Noto Sans SC', sans-serif`;
  return type[font];
}

/** Corners like cut card: none is quite like the next. */
export const cut = css`
  border-radius: 3px 10px 4px 8px / 8px 4px 9px 3px;
`;

export const narrow = '@media (max-width: 820px)';

export const GlobalStyle = createGlobalStyle`
  #work[inert] {
    opacity: 0.5;
  }
  *, *::before, *::after { box-sizing: border-box; }
  html { background: ${color.paper}; color: ${color.ink}; font: 400 16px/1.5 ${type.body}; -webkit-text-size-adjust: 100%; accent-color: ${color.fern}; }
  /* What is come to by Tab, a link or typing stands clear of the scan line at the foot. */
  html { scroll-padding-block: 1rem 6.5rem; }
  body { margin: 0; min-height: 100vh; }
  h1, h2, h3 { font-family: ${type.display}; font-variant-numeric: lining-nums; font-weight: 400; line-height: 1.2; margin: 0; text-wrap: balance; }
  :lang(vi), :lang(vi) :is(h1, h2, h3) { font-family: ${familiesOf('body', 'vi')}; }
  :lang(zh-Hant) { font-family: ${familiesOf('body', 'zh-Hant')}; }
  h1 { font-size: 1.9rem; } h2 { font-size: 1.35rem; } h3 { font-size: 1.1rem; }
  p { margin: 0; }
  a { color: ${color.shore}; text-underline-offset: 3px; }
  ul, ol { margin: 0; padding: 0; list-style: none; }
  button, input, select, textarea { font: inherit; color: inherit; }
  table { border-collapse: collapse; width: 100%; }
  :focus-visible { outline: 3px solid ${color.shore}; outline-offset: 2px; }
  .visually-hidden { position: absolute; width: 1px; height: 1px; overflow: hidden; clip-path: inset(50%); white-space: nowrap; }
  @media (prefers-reduced-motion: reduce) { *, *::before, *::after { transition: none !important; animation: none !important; } }
`;
