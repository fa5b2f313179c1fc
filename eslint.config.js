import reactHooks from 'eslint-plugin-react-hooks';
import { dirname, relative, resolve } from 'node:path';
import tseslint from 'typescript-eslint';

const message = (text) => ({ message: text });

/**
 * The floors of core/, from the lowest: each imports only itself and those before it. The same within cover/.
 * A file that stands in core/ itself (plan.ts, cut.ts, evaluate.ts ...) is of the floor "core".
 */
const FLOORS = ['base', 'catalog', 'site', 'cover', 'make', 'judge', 'garden', 'core', 'explore', 'commands', 'show'];
const COVER_FLOORS = ['hoop', 'assembly', 'answers', 'joints', 'structure', 'guide', 'parts', 'families'];

const folder = (path, floors, own) => {
  const name = path.split('/')[0] ?? '';
  return floors.indexOf(floors.includes(name) ? name : path.includes('/') ? '' : own);
};

/** Where an import leads, as a path from the root of the project; undefined for libraries. */
function target(context, source) {
  const root = import.meta.dirname;
  return source.startsWith('.') ? relative(root, resolve(dirname(context.filename), source)) : undefined;
}
const here = (context) => relative(import.meta.dirname, context.filename);
const within = (path, top) => (path.startsWith(`${top}/`) ? path.slice(top.length + 1) : undefined);

/** What is wrong with an import, in words; undefined where nothing is. */
function wrongImport(from, to) {
  const [core, toCore] = [within(from, 'core'), within(to, 'core')];
  if (core !== undefined && toCore === undefined) return 'imports point downward: core/ uses nothing above it';
  if (core !== undefined && toCore !== undefined) {
    // The whole way in one sitting ends in explore/: plan.ts is the door of both.
    if (core !== 'plan.ts' && folder(toCore, FLOORS, 'core') > folder(core, FLOORS, 'core'))
      return `core/ stands in floors (${FLOORS.join(', ')}): this one may not use a later one`;
    const [cover, toCover] = [within(core, 'cover'), within(toCore, 'cover')];
    if (
      cover !== undefined &&
      toCover !== undefined &&
      folder(toCover, COVER_FLOORS, '') > folder(cover, COVER_FLOORS, '')
    )
      return `core/cover stands in floors (${COVER_FLOORS.join(', ')}): this one may not use a later one`;
    const [family, other] = [cover, toCover].map((p) => p && within(p, 'families')?.split('/'));
    if (family?.length === 2 && other?.length === 2 && family[0] !== other[0])
      return 'families never import each other';
  }
  const [place, otherPlace] = [from, to].map((p) => within(p, 'web/places')?.split('/')[0]);
  if (place !== undefined && otherPlace !== undefined && place !== otherPlace)
    return 'places never import each other: what two of them need is a part';
  return undefined;
}

const floors = {
  rules: {
    hold: {
      create: (context) => {
        const check = (node) => {
          if (!node.source) return;
          const to = target(context, node.source.value);
          const wrong = to === undefined ? undefined : wrongImport(here(context), to);
          if (wrong) context.report({ node, message: wrong });
        };
        return {
          ImportDeclaration: check,
          ExportNamedDeclaration: check,
          ExportAllDeclaration: check,
          ImportExpression: check,
        };
      },
    },
  },
};

/** A number with its unit: a quantity says it in the gardener's own. */
const UNIT =
  /(?<![\w./-])\d+([.,]\d+)?[ -]?(mm|cm|m|in|ft|inch|inches|foot|feet|kg|lb|mph|km\/h|m\/s|kPa|psf|sq ft|m²)(?![\w/])/;

const quantities = {
  rules: {
    said: {
      create: (context) => {
        // Where a figure was found is said as it was found.
        const isSource = (node) => node?.parent?.type === 'Property' && node.parent.key?.name === 'source';
        const check = (node, text) => {
          if (UNIT.test(text) && !isSource(node) && !isSource(node.parent))
            context.report({
              node,
              message: `"${UNIT.exec(text)?.[0]}": say it with amount(value, quantity), in the garden's own units`,
            });
        };
        return {
          Literal: (node) => typeof node.value === 'string' && check(node, node.value),
          TemplateElement: (node) => check(node, node.value.cooked ?? ''),
          JSXText: (node) => check(node, node.value),
        };
      },
    },
  },
};

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
    rules: reactHooks.configs.recommended.rules,
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
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['node:*', 'react', 'react-dom', 'dexie', 'express'],
              ...message('core/ is pure computation'),
            },
          ],
        },
      ],
    },
  },
  {
    // Tests look from above at what they test.
    files: ['core/**/*.ts', 'web/**/*.{ts,tsx}'],
    ignores: ['**/*.test.ts', 'core/testing/**'],
    plugins: { floors },
    rules: { 'floors/hold': 'error' },
  },
  {
    // The catalogue holds what shops call their goods.
    files: ['core/**/*.ts', 'web/**/*.{ts,tsx}'],
    ignores: ['**/*.test.ts', '**/*.test.tsx', 'core/testing/**', 'core/catalog/**'],
    plugins: { quantities },
    rules: { 'quantities/said': 'error' },
  },
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
