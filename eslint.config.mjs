import js from '@eslint/js';
import reactHooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', 'test-results/**'] },
  js.configs.recommended,
  ...tseslint.configs.strict,
  {
    rules: {
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', destructuredArrayIgnorePattern: '^_' },
      ],
      '@typescript-eslint/no-invalid-void-type': 'off',
      eqeqeq: 'error',
    },
  },
  // What a test knows to be there is there, or the test fails: as good as a check of its own.
  { files: ['**/*.test.{ts,tsx}'], rules: { '@typescript-eslint/no-non-null-assertion': 'off' } },
  { files: ['scripts/**/*.mjs', '*.cjs', '*.mjs'], languageOptions: { globals: globals.node } },
  // Some of its functions run in the page.
  { files: ['scripts/shots.mjs'], languageOptions: { globals: globals.browser } },
  {
    // The editor's echo of the layer rule; dependency-cruiser holds the whole tree to it.
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts', 'core/src/planning/words/**'],
    rules: {
      'no-restricted-imports': ['error', { patterns: ['node:*', '@myokinet/*', 'react*', 'fastify*', 'better-sqlite3'] }],
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'crypto', 'fetch'],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'The clock is an argument.' },
        { object: 'Math', property: 'random', message: 'Randomness is an argument.' },
      ],
    },
  },
  {
    // Rules return codes and figures; sentences are said in core/src/words.
    files: ['core/src/readiness/**/*.ts', 'core/src/safety/**/*.ts', 'core/src/measuring/**/*.ts', 'core/src/planning/**/*.ts'],
    ignores: ['**/*.test.ts', 'core/src/planning/words/**'],
    rules: {
      'no-restricted-syntax': [
        'error',
        // Names of states have up to three words; a fourth, or a capital before a space, is prose.
        {
          selector:
            ':not(ImportDeclaration, ExportNamedDeclaration, NewExpression[callee.name="Refusal"]) > Literal[value=/^[A-Z][a-z]+ |([a-z,]+ ){3,}[a-z]/]',
          message: 'A rule returns a code and figures; its sentence belongs to core/src/words.',
        },
        {
          selector:
            ':not(NewExpression[callee.name="Refusal"] > TemplateLiteral) > TemplateElement[value.raw=/^[A-Z][a-z]+ |([a-z,]+ ){3,}[a-z]/]',
          message: 'A rule returns a code and figures; its sentence belongs to core/src/words.',
        },
      ],
    },
  },
  { files: ['web/**/*.{ts,tsx}'], ...reactHooks.configs.flat.recommended, languageOptions: { globals: globals.browser } },
);
