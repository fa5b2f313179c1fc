/** Small faults put into core/ one at a time: `npm run mutate` for all of it, or floors or files after `--`. Not in CI. */
import jest from './jest.config.cjs';

/** The tests that faults of a floor are put before: those near it, without the ones that only try many inputs. */
const NEAR = {
  base: ['core/base', 'core/build/assembly', 'core/build/hoop', 'core/build/parts', 'core/build/families/*'],
  catalog: ['core/catalog', 'core/make/buying'],
  site: ['core/site', 'core/judge/proof', 'core/build/joints'],
  build: ['core/build'],
  make: ['core/make'],
  judge: ['core/judge'],
  garden: ['core/garden', 'core'],
  root: ['core'],
  brief: ['core/brief'],
  show: ['core/show'],
};
export const FLOORS = Object.keys(NEAR);

const part = process.env['MUTATE'] ?? 'root';
const only = process.env['MUTATE_ONLY'] ?? '';
const everyTest = process.env['MUTATE_BEFORE'] === 'all';
const ofFile = part.endsWith('.ts');
const floor = ofFile ? (/^core\/(\w+)\//.exec(part)?.[1] ?? 'root') : part;
const mutated = ofFile ? part : floor === 'root' ? 'core/*.ts' : `core/${floor}/**/*.ts`;
const name = part.replace(/\W+/g, '-');

export default {
  testRunner: 'jest',
  jest: {
    config: {
      ...jest,
      testMatch: (everyTest ? ['core/**'] : NEAR[floor]).map(
        (dir) => `<rootDir>/${dir}/${dir === 'core' || dir.endsWith('*') ? '' : '**/'}*.test.ts`,
      ),
      testPathIgnorePatterns: ['fuzz', 'invariants', 'families/families', 'jointMarks'].map((x) => `${x}\\.test`),
    },
  },
  coverageAnalysis: 'perTest',
  mutate: only === '' ? [mutated, '!core/**/*.test.ts', '!core/testing/**', '!core/garden/demo.ts'] : only.split(','),
  // Words are not what a fault is.
  mutator: { excludedMutations: ['StringLiteral', 'ObjectLiteral'] },
  // What runs once as a module loads is tables and declarations: each would ask for every test anew.
  ignoreStatic: true,
  reporters: ['json', 'clear-text', 'progress-append-only'],
  clearTextReporter: { allowColor: false, reportTests: false, logTests: false },
  jsonReporter: { fileName: `.reports/mutation-${name}.json` },
  tempDirName: '.reports/stryker',
  timeoutMS: 20_000,
  concurrency: Number(process.env['MUTATE_AT_ONCE'] ?? 2),
};
