/**
 * Everything that can be checked, on a fresh machine: installs what is missing, then format, lint,
 * types, arrows, unused code, the tests of core, contract and server with coverage, and the journeys
 * in a real browser on the built application. The last line counts what passed and failed.
 */
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, chmodSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { checkNode, needChromium, needInterface, needPackages, needPostgres, ROOT } from './lib/packages.mjs';
import { say, step } from './lib/say.mjs';

checkNode();
await needPostgres();
await needChromium();
await needPackages();
await needInterface();
const { startCluster } = await import('./lib/postgres.mjs');
const folder = mkdtempSync(join(tmpdir(), 'gonimos-test-'));
chmodSync(folder, 0o755);
const cluster = await step('Starting a throwaway database', () => startCluster(folder, { volatile: true }));
const counts = join(folder, 'counts.json');
const env = { ...process.env, GONIMOS_TEST_DATABASE_URL: cluster.url, GONIMOS_TEST_COUNTS: counts };
const tool = (name) => join(ROOT, 'node_modules/.bin', name);
const run = (name, args) => spawnSync(tool(name), args, { cwd: ROOT, stdio: 'inherit', env }).status === 0;

let [passed, failed] = [0, 0];
const CHECKS = [
  ['format', 'prettier', ['--check', '--log-level', 'warn', '.']],
  ['lint', 'eslint', ['.']],
  ['types', 'tsc', ['-p', 'tsconfig.json']],
  [
    'arrows between the workspaces',
    'depcruise',
    ['--output-type', 'err', 'core', 'contract', 'server', 'web', 'e2e'],
  ],
  ['unused code', 'knip', ['--no-config-hints']],
];
const wanted = process.argv.slice(2);
const only = (name) => wanted.length === 0 || wanted.includes(name);

if (only('checks'))
  for (const [name, command, args] of CHECKS) {
    const ok = await step(`Check: ${name}`, () => run(command, args));
    if (ok) passed++;
    else failed++;
    if (!ok) console.error(`✗ ${name}`);
  }

function mocha(files, coverage) {
  rmSync(counts, { force: true });
  const args = ['--reporter', join(ROOT, 'scripts/lib/reporter.cjs'), ...files];
  const include = ['core/src', 'core/data', 'contract/src', 'server/src'].flatMap((d) => [
    '--include',
    `${d}/**/*.ts`,
  ]);
  const ok = coverage
    ? run('c8', ['--reporter', 'text-summary', ...include, tool('mocha'), ...args])
    : run('mocha', args);
  try {
    const { passes, failures } = JSON.parse(readFileSync(counts, 'utf8'));
    passed += passes;
    failed += failures;
    if (!ok && failures === 0) failed++;
  } catch {
    failed++;
  }
}
try {
  if (only('unit')) mocha(['core/test/**/*.test.ts', 'server/test/*.test.ts'], true);
  if (only('e2e')) mocha(['e2e/*.test.ts'], false);
} finally {
  cluster.stop();
  cluster.remove();
  rmSync(folder, { recursive: true, force: true });
}
say('Done');
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed > 0 ? 1 : 0);
