import js from '@eslint/js';
import globals from 'globals';
import a11y from 'eslint-plugin-jsx-a11y';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** What the core may never import: anything with a screen, a store or an operating system behind it. */
const impureImports = [
  { regex: '^(react|react-dom|react-router|@react-router)(/|$)', message: 'core/ holds no interface code.' },
  {
    regex: '^(dexie|radix-ui|lucide-react|recharts|comlink)',
    message: 'core/ holds no interface or storage code.',
  },
  { regex: '^(~/|(\\.\\./)+app/)', message: 'core/ does not know app/.' },
  { regex: '^node:', message: 'core/ runs in browsers and workers too.' },
];
const impureGlobals = ['window', 'document', 'navigator', 'indexedDB', 'localStorage', 'process', 'fetch'];

export default tseslint.config(
  {
    ignores: [
      'build/',
      'node_modules/',
      '.react-router/',
      'test-results/',
      'app/words/*.ts',
      'core/words/*.ts',
      '!core/words/speak.ts',
      '!core/words/pseudo.ts',
      '!**/words/*.test.ts',
    ],
  },
  js.configs.recommended,
  ...tseslint.configs.strict,
  {
    // With types: a promise that nobody waits for, a condition that is always true, a text made of an object.
    files: ['**/*.{ts,tsx}'],
    extends: [tseslint.configs.strictTypeCheckedOnly],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/no-confusing-void-expression': 'off',
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
    },
  },
  {
    languageOptions: { globals: { ...globals.node, ...globals.browser } },
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
      '@typescript-eslint/no-invalid-void-type': 'off',
    },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts', 'core/testing/**'],
    rules: {
      'no-restricted-imports': ['error', { patterns: impureImports }],
      'no-restricted-globals': ['error', ...impureGlobals],
    },
  },
  {
    files: ['**/*.test.ts', 'core/testing/**', 'e2e/**', 'bench/**'],
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-member-access': 'off',
      '@typescript-eslint/no-unsafe-argument': 'off',
    },
  },
  {
    files: ['app/**/*.tsx'],
    ...a11y.flatConfigs.strict,
    rules: {
      ...a11y.flatConfigs.strict.rules,
      // What scrolls sideways is reached by keys.
      'jsx-a11y/no-noninteractive-tabindex': ['error', { roles: ['region'], tags: [] }],
    },
  },
  {
    files: ['app/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: {
      'react-hooks/rules-of-hooks': 'error',
      'react-hooks/exhaustive-deps': 'error',
      'no-restricted-imports': [
        'error',
        { patterns: [{ regex: '(^|/)(cli|bench|e2e)/', message: 'app/ stands on core/ alone.' }] },
      ],
    },
  },
);
