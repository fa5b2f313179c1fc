/** Unit tests stand beside the file they test; the browser tests in e2e/ have their own runner. */
module.exports = {
  testEnvironment: 'node',
  testMatch: ['<rootDir>/{core,cli,server,web,scripts}/**/*.test.{ts,tsx}'],
  transform: {
    '^.+\\.tsx?$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript', tsx: true },
          target: 'es2022',
          transform: { react: { runtime: 'automatic' } },
        },
        module: { type: 'commonjs' },
      },
    ],
  },
};
