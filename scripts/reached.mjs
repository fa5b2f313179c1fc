/**
 * Jest's environment in a copy of the program that holds faults: writes down which of them each test file comes by, before its tests too, and
 * how long it takes.
 */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { TestEnvironment } from 'jest-environment-node';

export default class Reached extends TestEnvironment {
  constructor(config, context) {
    super(config, context);
    this.file = context.testPath;
    this.began = Date.now();
  }

  async teardown() {
    const into = process.env['REACHED'];
    const reached = Object.keys(this.global.__stryker__?.mutantCoverage?.static ?? {});
    if (into && reached.length > 0)
      writeFileSync(
        join(into, `${this.file.replace(/\W+/g, '-')}.json`),
        JSON.stringify({ file: this.file, reached, tookMs: Date.now() - this.began }),
      );
    await super.teardown();
  }
}
