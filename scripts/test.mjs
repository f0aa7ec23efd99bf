/**
 * Everything that can be checked, on a fresh machine: installs what is missing, then lint and arrows, format, types,
 * circles, unused code, the tests of screens in a made-up window, those of core, contract, server and the interface’s
 * words, and the journeys in a real browser on the built application. The last line counts what passed and failed.
 * Parts can be named: npm test -- checks, unit, e2e; and how much of the code the unit tests meet: npm test -- coverage.
 */
import { readFileSync, rmSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { isAbsolute, join } from 'node:path';
import { runs, runsQuietly } from './lib/children.mjs';
import { needChromium, needPoppler, ROOT } from './lib/packages.mjs';
import { step } from './lib/say.mjs';
import { prepare, withCluster } from './lib/throwaway.mjs';

// the linter also holds the arrows: which part may reach which, and that no files lean on each other
const CHECKS = [
  ['lint', 'oxlint', ['--type-aware', '--quiet']],
  ['format', 'oxfmt', ['--check']],
  ['types', process.execPath, ['node_modules/typescript-7/bin/tsc', '-p', 'tsconfig.json']],
  ['circles', process.execPath, ['scripts/circles.mjs']],
  ['unused code', 'knip', ['--no-config-hints']],
];
const UNIT = ['core', 'contract', 'web'].map((part) => `${part}/test/**/*.test.ts`);
/** They have a window of their own, which the others must not find. */
const SCREENS = ['web/test/screens/*.test.tsx'];
const MEASURED = ['core/src', 'core/data', 'contract/src', 'server/src'];

const tool = (name) => (isAbsolute(name) ? name : join(ROOT, 'node_modules/.bin', name));
const asked = process.argv.slice(2);
const wanted = (part) => asked.length === 0 || asked.includes(part);
/** Measuring it takes its time, so it is asked for. */
const measured = asked.includes('coverage');
let passed = 0;
let failed = 0;

/** Runs one check, and counts it. */
async function check([name, command, args]) {
  const { ok, printed } = await step(`Check: ${name}`, () => runsQuietly(tool(command), args));
  if (printed.trim()) console.log(printed.trim());
  if (ok) passed++;
  else failed++;
  if (!ok) console.error(`✗ ${name}`);
}

async function mocha(files, env, folder, coverage) {
  const counts = join(folder, 'counts.json');
  rmSync(counts, { force: true });
  const own = { ...env, GONIMOS_TEST_COUNTS: counts };
  // each file has a database of its own, so files run beside one another
  const beside = ['--parallel', '--jobs', String(Math.min(4, availableParallelism()))];
  const args = ['--reporter', join(ROOT, 'scripts/lib/reporter.cjs'), ...beside, ...files];
  const include = MEASURED.flatMap((d) => ['--include', `${d}/**/*.ts`]);
  const ok = coverage
    ? await runs(tool('c8'), ['--reporter', 'text-summary', ...include, tool('mocha'), ...args], own)
    : await runs(tool('mocha'), args, own);
  try {
    const { passes, failures } = JSON.parse(readFileSync(counts, 'utf8'));
    passed += passes;
    failed += failures;
    if (!ok && failures === 0) failed++;
  } catch {
    // the run ended before it could count
    failed++;
  }
}

/** The demo nursery is lived through once, and copied by every suite that wants it; the name of its database. */
async function makeDemo(env) {
  const args = ['--import', '@oxc-node/core/register', 'server/test/demo.ts'];
  const { ok, printed } = await step('Making the demo nursery', () =>
    runsQuietly(process.execPath, args, env),
  );
  if (!ok) throw new Error(`the demo nursery could not be made: ${printed}`);
  return printed.trim();
}

await prepare();
await needChromium();
await needPoppler();
await withCluster(
  async (cluster, folder) => {
    const lives = wanted('unit') || wanted('e2e') || measured;
    // none of them writes, and most of them wait for the disk
    const checks = wanted('checks') ? CHECKS.map(check) : [];
    const [demo] = await Promise.all([lives ? makeDemo(cluster) : '', ...checks]);
    const env = { ...cluster, GONIMOS_TEST_DEMO: demo };
    if (wanted('unit') || measured) await mocha(SCREENS, env, folder, measured);
    if (wanted('unit') || measured) await mocha([...UNIT, 'server/test/*.test.ts'], env, folder, measured);
    if (wanted('e2e')) await mocha(['e2e/*.test.ts'], env, folder, false);
  },
  { volatile: true },
);
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed > 0 ? 1 : 0);
