/** Mocha's spec report, and its counts in a file for the last line of the test command. */
const { writeFileSync } = require('node:fs');
const { reporters } = require('mocha');

module.exports = class extends reporters.Spec {
  constructor(runner, options) {
    super(runner, options);
    runner.once('end', () => {
      const { passes, failures } = runner.stats;
      writeFileSync(process.env.GONIMOS_TEST_COUNTS, JSON.stringify({ passes, failures }));
    });
  }
};
