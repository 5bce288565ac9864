/* Mocha's spec report with the slowest tests behind it and one plain closing line, "N passed, N failed". */
const { reporters, Runner } = require('mocha');
const { slowestOf } = require('./slowest.cjs');

module.exports = class ClosingLine extends reporters.Spec {
  constructor(runner, options) {
    super(runner, options);
    const took = [];
    runner.on(Runner.constants.EVENT_TEST_END, (test) =>
      took.push({ name: test.fullTitle(), ms: test.duration ?? 0 }),
    );
    runner.once(Runner.constants.EVENT_RUN_END, () => {
      console.log(slowestOf(took));
      console.log(`${this.stats.passes} passed, ${this.stats.failures} failed`);
    });
  }
};
