/** Unit tests stand beside the file they test; the browser tests in e2e/ have their own runner. */
module.exports = {
  testEnvironment: 'node',
  // Looked up through the sandbox at every use, it makes arithmetic several times slower.
  sandboxInjectedGlobals: ['Math'],
  // The tests have the machine to themselves.
  maxWorkers: '100%',
  // The command line is run for real, beside another test on a slow machine.
  testTimeout: 60_000,
  testMatch: ['<rootDir>/{core,cli,server,web,scripts}/**/*.test.{ts,tsx}'],
  // This one comes as a module alone.
  transformIgnorePatterns: ['/node_modules/(?!country-to-currency/)'],
  transform: {
    '^.+\\.[jt]sx?$': [
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
