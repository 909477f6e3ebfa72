import { existsSync } from 'node:fs';
import { Trouble } from './say.ts';
import { installDebian } from './system.ts';

/** Debian's Chromium: the one without windows is quicker; the other does as well. */
const SHELL = '/usr/bin/chromium-headless-shell';
const WHOLE = '/usr/bin/chromium';
export const chromiumPath = (): string => (existsSync(SHELL) ? SHELL : WHOLE);

/** Debian's Chromium and the PDF tools, installed when missing. */
export function ensureBrowser(): void {
  if (!existsSync('/usr/bin/pdftoppm')) installDebian(['poppler-utils'], 'poppler-utils');
  if (existsSync(SHELL)) return;
  try {
    installDebian(['chromium-headless-shell'], 'chromium-headless-shell');
  } catch (error) {
    if (!existsSync(WHOLE)) installDebian(['chromium'], 'chromium');
    if (!existsSync(WHOLE)) throw error;
  }
  if (!existsSync(chromiumPath()))
    throw new Trouble(`${WHOLE} is not there.`, 'install the Debian package chromium.');
}

export const CHROMIUM_FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  // Letters as wide as they are drawn on paper.
  '--font-render-hinting=none',
];
