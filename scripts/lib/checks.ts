import { run } from './system.ts';

const node = async (file: string, ...args: string[]): Promise<void> => {
  await run(process.execPath, [`node_modules/${file}`, ...args]);
};

/** What did not change since it was found right is not looked at again. */
const cachedAs = (tool: string): string[] => [
  '--cache',
  '--cache-strategy',
  'content',
  '--cache-location',
  `node_modules/.cache/${tool}`,
];

/** The checks that need neither a database nor a browser. */
const CHECKS = [
  {
    name: 'types',
    run: async () => {
      await node('@react-router/dev/bin.js', 'typegen');
      await node('typescript/bin/tsc', '-p', '.');
    },
  },
  {
    name: 'lint',
    run: () => node('eslint/bin/eslint.js', '.', '--max-warnings', '0', ...cachedAs('eslint')),
  },
  {
    name: 'boundaries',
    run: () =>
      node(
        'dependency-cruiser/bin/dependency-cruise.mjs',
        'core',
        'data',
        'server',
        'app',
        '--output-type',
        'err',
      ),
  },
  {
    name: 'formatting',
    run: () =>
      node('prettier/bin/prettier.cjs', '--check', '--log-level', 'warn', '.', ...cachedAs('prettier')),
  },
];

/** Runs all of them: types first, which the others read, then the others beside each other. */
export async function runChecks(
  each: (name: string, work: () => Promise<unknown>) => Promise<unknown>,
): Promise<void> {
  const [types, ...others] = CHECKS;
  await each(types!.name, types!.run);
  await Promise.all(others.map(({ name, run }) => each(name, run)));
}
