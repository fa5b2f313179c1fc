/** The tests that small faults of a floor are put before: those that stand on it, without the ones that only try many inputs. */
const floor = process.env.MUTATE_FLOOR;
const under = floor === undefined ? 'core/**' : floor === 'root' ? 'core' : `core/${floor}/**`;
module.exports = {
  ...require('./jest.config.cjs'),
  testMatch: [`<rootDir>/${under}/*.test.ts`],
  testPathIgnorePatterns: ['fuzz\\.test', 'invariants\\.test', 'families\\.test'],
};
