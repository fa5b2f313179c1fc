/** The tests that small faults are put before: the core's own, without the two that only try many inputs. */
module.exports = {
  ...require('./jest.config.cjs'),
  testMatch: ['<rootDir>/core/**/*.test.ts'],
  testPathIgnorePatterns: ['fuzz\\.test', 'invariants\\.test'],
};
