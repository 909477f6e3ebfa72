import { existsSync } from 'node:fs';
import { Trouble } from './say.ts';
import { installDebian } from './system.ts';

export const CHROMIUM = '/usr/bin/chromium';

/** Debian's Chromium and the PDF tools, installed when missing. */
export function ensureBrowser(): void {
  const missing = [
    ...(existsSync(CHROMIUM) ? [] : ['chromium']),
    ...(existsSync('/usr/bin/pdftoppm') ? [] : ['poppler-utils']),
  ];
  if (missing.length) installDebian(missing, missing.join(' and '));
  if (!existsSync(CHROMIUM))
    throw new Trouble(`${CHROMIUM} is not there.`, 'install the Debian package chromium.');
}

export const CHROMIUM_FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];
