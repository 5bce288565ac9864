/* Mocha's spec report with one plain closing line, "N passed, N failed". */
const { reporters, Runner } = require('mocha');

module.exports = class ClosingLine extends reporters.Spec {
  constructor(runner, options) {
    super(runner, options);
    runner.once(Runner.constants.EVENT_RUN_END, () => {
      console.log(`${this.stats.passes} passed, ${this.stats.failures} failed`);
    });
  }
};
