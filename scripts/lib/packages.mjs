/** Installs what the machine lacks: Debian packages, npm packages, the built interface. */
import { createHash } from 'node:crypto';
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { giveUp, run, say, step, works } from './say.mjs';

export const ROOT = new URL('../..', import.meta.url).pathname.replace(/\/$/, '');
const PG_HOME = '/usr/lib/postgresql';
const LEAST_NODE = [20, 19];

export function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < LEAST_NODE[0] || (major === LEAST_NODE[0] && minor < LEAST_NODE[1]))
    giveUp(`Node ${LEAST_NODE.join('.')} or newer is needed; this is ${process.versions.node}.`);
}

function apt(packages) {
  const asRoot = process.getuid?.() === 0;
  const how = `apt-get install ${packages.join(' ')}`;
  if (!existsSync('/usr/bin/apt-get'))
    giveUp(`Missing: ${packages.join(', ')}. Install them, then start again.`);
  if (!asRoot && !works('sudo', ['-n', 'true']))
    giveUp(
      `Missing: ${packages.join(', ')}. Ask someone who may to run:\n\n  sudo ${how}\n\nthen start again.`,
    );
  const command = asRoot ? 'apt-get' : 'sudo';
  const before = asRoot ? [] : ['-n', 'apt-get'];
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const install = (names) =>
    run(command, [...before, 'install', '-y', '-qq', '--no-install-recommends', ...names], { env });
  run(command, [...before, 'update', '-qq'], { env });
  install(packages);
}

/** Folder of the programs of one version of PostgreSQL; null when it is not installed. */
export function binOf(version) {
  const bin = join(PG_HOME, version, 'bin');
  return existsSync(join(bin, 'initdb')) ? bin : null;
}

/** Folder of the programs of the newest PostgreSQL; null when none is installed. */
export function postgresBin() {
  if (!existsSync(PG_HOME)) return null;
  const newest = readdirSync(PG_HOME)
    .filter((v) => binOf(v))
    .sort((a, b) => Number(b) - Number(a))[0];
  return newest ? binOf(newest) : null;
}

export async function needPostgres() {
  if (postgresBin()) return;
  await step('Installing PostgreSQL from Debian', () => {
    // Debian would otherwise make and start a cluster of its own
    const conf = '/etc/postgresql-common';
    if (process.getuid?.() === 0 && !existsSync(conf)) {
      mkdirSync(conf, { recursive: true });
      writeFileSync(join(conf, 'createcluster.conf'), 'create_main_cluster = false\n');
      return apt(['-o', 'Dpkg::Options::=--force-confold', 'postgresql']);
    }
    return apt(['postgresql']);
  });
  if (!postgresBin()) giveUp('PostgreSQL was installed but its programs are not where Debian puts them.');
}

export async function needChromium() {
  // without windows it takes a fifth less time than the whole browser
  if (existsSync('/usr/bin/chromium-headless-shell')) return;
  await step('Installing Chromium from Debian', () => apt(['chromium-headless-shell', 'fonts-dejavu-core']));
}

/** Reads the sheets the application prints, for the tests: a reader that is not ours. */
export async function needPoppler() {
  if (existsSync('/usr/bin/pdftotext')) return;
  await step('Installing a reader of PDF from Debian', () => apt(['poppler-utils']));
}

const hashOf = (...texts) => texts.reduce((h, t) => h.update(t), createHash('sha256')).digest('hex');
const kept = (file) => (existsSync(file) ? readFileSync(file, 'utf8') : '');

/** npm packages as locked; a half-done install is noticed and done again. */
export async function needPackages() {
  const mark = join(ROOT, 'node_modules/.gonimos');
  const want = hashOf(readFileSync(join(ROOT, 'package-lock.json'), 'utf8'));
  if (kept(mark) === want) return;
  await step('Installing packages', () => run('npm', ['ci', '--no-audit', '--no-fund'], { cwd: ROOT }));
  writeFileSync(mark, want);
}

function* filesBelow(folder) {
  for (const entry of readdirSync(folder, { withFileTypes: true }).sort((a, b) =>
    a.name < b.name ? -1 : 1,
  )) {
    if (['node_modules', 'dist', 'test'].includes(entry.name)) continue;
    const path = join(folder, entry.name);
    if (entry.isDirectory()) yield* filesBelow(path);
    else yield path;
  }
}

/** Tells the sources of some parts of the application from all others they have had. */
function sourcesOf(...parts) {
  const files = parts.flatMap((part) => [...filesBelow(join(ROOT, part))]);
  return hashOf(...files.map((f) => f + readFileSync(f, 'utf8')), kept(join(ROOT, 'package-lock.json')));
}

/** Builds the interface when anything it is made of has changed. */
export async function needInterface() {
  const mark = join(ROOT, 'web/dist/.built');
  const want = sourcesOf('core', 'contract', 'web');
  if (kept(mark) === want) return;
  await step('Building the interface', () => run('npm', ['run', 'build', '-w', 'web'], { cwd: ROOT }));
  writeFileSync(mark, want);
  say('Interface built');
}

/** Builds the server when anything it is made of has changed; gives the file that starts it. */
export async function needServer() {
  const dist = join(ROOT, 'server/dist');
  const mark = join(dist, '.built');
  const want = sourcesOf('core', 'contract', 'server');
  if (kept(mark) !== want) {
    const { buildServer } = await import('./build-server.mjs');
    // made aside and put in its place whole: others may be starting from it
    const aside = mkdtempSync(join(ROOT, 'server/dist-'));
    await buildServer(aside);
    writeFileSync(join(aside, '.built'), want);
    rmSync(dist, { recursive: true, force: true });
    renameSync(aside, dist);
  }
  return join(dist, 'main.js');
}
