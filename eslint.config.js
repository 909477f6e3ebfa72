import js from '@eslint/js';
import jsxA11y from 'eslint-plugin-jsx-a11y';
import reactHooks from 'eslint-plugin-react-hooks';
import regexp from 'eslint-plugin-regexp';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['build', '.data', '.react-router', 'node_modules', 'data/migrations'] },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  {
    files: ['app/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks, 'jsx-a11y': jsxA11y },
    rules: {
      ...reactHooks.configs.recommended.rules,
      ...jsxA11y.flatConfigs.recommended.rules,
    },
  },
  {
    // A form that is sent twice is done once: what sends carries a key.
    files: ['app/**/*.{ts,tsx}'],
    ignores: ['app/ui/sending.tsx', '**/*.test.tsx'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          paths: [
            {
              name: 'react-router',
              importNames: ['Form', 'useFetcher', 'useSubmit'],
              message: 'Take it from ~/app/ui/sending: it gives what is sent its key.',
            },
          ],
        },
      ],
    },
  },
  {
    // Expressions take time in the length of what they read, whatever it is: what comes from outside may be chosen to be slow.
    files: ['app/**/*.{ts,tsx}', 'core/**/*.ts', 'data/**/*.ts', 'server/**/*.ts'],
    ignores: ['**/*.test.{ts,tsx}', '**/*testing.ts'],
    plugins: { regexp },
    rules: {
      'regexp/no-super-linear-backtracking': ['error', { report: 'potential' }],
      'regexp/no-super-linear-move': ['error', { report: 'certain', ignoreSticky: true }],
    },
  },
  {
    rules: {
      eqeqeq: 'error',
      'no-console': 'error',
      'no-undef': 'off',
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', ignoreRestSiblings: true }],
      '@typescript-eslint/consistent-type-imports': 'error',
      'jsx-a11y/no-autofocus': 'off',
    },
  },
  {
    // Rules that know the types: what is promised is waited for, and a choice leaves nothing out.
    files: ['**/*.{ts,tsx}'],
    languageOptions: { parserOptions: { projectService: true } },
    rules: {
      '@typescript-eslint/await-thenable': 'error',
      '@typescript-eslint/no-base-to-string': 'error',
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-for-in-array': 'error',
      '@typescript-eslint/no-misused-promises': [
        'error',
        { checksVoidReturn: { attributes: false, properties: false } },
      ],
      '@typescript-eslint/no-unnecessary-type-assertion': 'error',
      '@typescript-eslint/restrict-plus-operands': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': [
        'error',
        { considerDefaultExhaustiveForUnions: true },
      ],
    },
  },
  { files: ['scripts/**'], rules: { 'no-console': 'off' } },
);
