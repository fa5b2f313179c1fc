/** The tests that small faults are put before: the core's own, without those that only try many inputs or plan whole gardens. */
module.exports = {
  ...require('./jest.config.cjs'),
  testMatch: ['<rootDir>/core/**/*.test.ts'],
  testPathIgnorePatterns: [
    'fuzz',
    'invariants',
    'families/families',
    'jointMarks',
    'cutBook',
    'compare',
    'versions',
    'together',
    'evaluate',
    'pitfalls',
  ].map((name) => `${name}\\.test`),
};
