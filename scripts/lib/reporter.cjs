/**
 * Mocha's spec report, then what the slowest files took, so that one sees what a subject costs; its counts in a file
 * for the last line of the test command.
 */
const { writeFileSync } = require('node:fs');
const path = require('node:path');
const { reporters, Runner } = require('mocha');

const { EVENT_HOOK_END, EVENT_RUN_END, EVENT_TEST_END } = Runner.constants;
/** Files that are told, and from how many seconds on. */
const SLOWEST = 25;
const TOLD_FROM = 3;

module.exports = class extends reporters.Spec {
  constructor(runner, options) {
    super(runner, options);
    const seconds = new Map();
    const add = ({ file, duration }) => {
      if (file) seconds.set(file, (seconds.get(file) ?? 0) + (duration ?? 0) / 1000);
    };
    runner.on(EVENT_TEST_END, add);
    runner.on(EVENT_HOOK_END, add);
    runner.once(EVENT_RUN_END, () => {
      const { passes, failures } = runner.stats;
      writeFileSync(process.env.GONIMOS_TEST_COUNTS, JSON.stringify({ passes, failures }));
      const slow = [...seconds].filter(([, s]) => s >= TOLD_FROM).toSorted((a, b) => b[1] - a[1]);
      for (const [file, s] of slow.slice(0, SLOWEST))
        console.log(`${s.toFixed(1).padStart(7)} s  ${path.relative(process.cwd(), file)}`);
    });
  }
};
