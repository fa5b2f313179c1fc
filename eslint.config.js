import reactHooks from 'eslint-plugin-react-hooks';
import { readdirSync } from 'node:fs';
import tseslint from 'typescript-eslint';

const FAMILIES = readdirSync(new URL('core/families', import.meta.url), { withFileTypes: true })
  .filter((entry) => entry.isDirectory())
  .map((entry) => entry.name);

const TOP = ['web', 'cli', 'server', 'e2e', 'scripts'];
const CORE_UP = TOP.map((folder) => `**/${folder}/**`);
const message = (text) => ({ message: text });

const CORE_PATTERNS = [
  { group: CORE_UP, ...message('imports point downward: core/ uses nothing above it') },
  { group: ['node:*', 'react', 'react-dom', 'dexie', 'express'], ...message('core/ is pure computation') },
];

/** What core may not touch: the screen, storage, the network, the clock, chance. */
const IMPURE = [
  'window',
  'document',
  'navigator',
  'location',
  'localStorage',
  'sessionStorage',
  'indexedDB',
  'fetch',
  'XMLHttpRequest',
  'WebSocket',
  'BroadcastChannel',
  'Worker',
  'process',
  'performance',
  'setTimeout',
  'setInterval',
  'requestAnimationFrame',
  'crypto',
].map((name) => ({ name, ...message('core/ is pure computation') }));

export default tseslint.config(
  { ignores: ['dist/**', 'node_modules/**', 'test-results/**', '.reports/**'] },
  ...tseslint.configs.strict,
  {
    files: ['**/*.{ts,tsx}'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    linterOptions: { reportUnusedDisableDirectives: 'error' },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
      // `void f()` says on purpose that a result is not wanted.
      '@typescript-eslint/no-invalid-void-type': 'off',
      eqeqeq: 'error',
    },
  },
  {
    files: ['web/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', ...IMPURE],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', ...message('core/ has no randomness') },
        { object: 'Date', property: 'now', ...message('core/ has no clock') },
      ],
      'no-restricted-syntax': [
        'error',
        { selector: "NewExpression[callee.name='Date'][arguments.length=0]", ...message('core/ has no clock') },
      ],
      'no-restricted-imports': ['error', { patterns: CORE_PATTERNS }],
    },
  },
  ...FAMILIES.map((family) => ({
    files: [`core/families/${family}/**/*.ts`],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            ...CORE_PATTERNS,
            {
              group: FAMILIES.filter((other) => other !== family).flatMap((other) => [`**/${other}`, `**/${other}/**`]),
              ...message('families never import each other'),
            },
          ],
        },
      ],
    },
  })),
  {
    files: ['web/**/*.{ts,tsx}'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            { group: ['**/cli/**', '**/server/**', '**/e2e/**', 'node:*'], ...message('web/ uses core/ and itself') },
          ],
        },
      ],
    },
  },
  {
    files: ['cli/**/*.ts', 'server/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: [{ group: ['**/web/**', '**/e2e/**'], ...message('cli/ and server/ use core/ and themselves') }] },
      ],
    },
  },
);
