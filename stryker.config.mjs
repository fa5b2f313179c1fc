/** Small faults put into core/ one at a time: `npm run mutate` for all of it, `npm run mutate -- judge` for one floor. Not in CI. */
const floor = process.env['MUTATE_FLOOR'];
const dir = floor === undefined ? 'core' : floor === 'root' ? 'core' : `core/${floor}`;
const deep = floor === 'root' ? '*.ts' : '**/*.ts';

export default {
  testRunner: 'jest',
  jest: { configFile: 'jest.mutate.cjs' },
  coverageAnalysis: 'perTest',
  mutate: [`${dir}/${deep}`, '!core/**/*.test.ts', '!core/testing/**', '!core/garden/demo.ts'],
  // Words and look are not what a fault is.
  mutator: { excludedMutations: ['StringLiteral', 'ObjectLiteral'] },
  reporters: ['json', 'clear-text', 'progress-append-only'],
  clearTextReporter: { allowColor: false, reportTests: false, logTests: false },
  jsonReporter: { fileName: `.reports/mutation-${floor ?? 'all'}.json` },
  tempDirName: '.reports/stryker',
  incremental: true,
  incrementalFile: `.reports/stryker-${floor ?? 'all'}.json`,
  // What runs once as a module loads is tables and declarations: each would ask for every test anew.
  ignoreStatic: true,
  timeoutMS: 20_000,
};
