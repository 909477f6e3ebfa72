/** The licences of everything that the application brings with it: fonts (OFL), libraries (MIT, Apache, MPL and others). */
import { writeFileSync } from 'node:fs';
import { getProjectLicenses } from 'generate-license-file';

/** Packages with several licence files: the one that is true of what is used. */
const MEANT = { 'bwip-js': './node_modules/bwip-js/LICENSE' };
const RULE = `\n\n${'-'.repeat(80)}\n\n`;

/** Writes one notice for each licence, with the packages that it stands for. Throws Error when there are none. */
export async function writeNotices(file: string): Promise<void> {
  const licences = await getProjectLicenses('./package.json', { replace: MEANT });
  if (licences.length === 0) throw new Error('No licence was found: are the packages installed?');
  const told = licences.map(({ dependencies, content, notices }) =>
    [`For ${dependencies.join(', ')}:`, content.trim(), ...notices.map(String)].join('\n\n'),
  );
  const begin = 'Fern Basket is under the MIT licence. It brings these with it, each under its own licence.';
  writeFileSync(file, [begin, ...told].join(RULE) + '\n');
}
