import { expect } from 'chai';
import { spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import {
  chmodSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const LIBRARY = new URL('../../scripts/lib/postgres.mjs', import.meta.url).href;

/** Starts the cluster in a folder as `npm start` does, in a process of its own, and does something with it. */
function start(folder: string, then: string, stop = true) {
  const code = `
    const { startCluster } = await import('${LIBRARY}');
    const { default: pg } = await import('pg');
    const cluster = await startCluster('${folder}');
    const db = new pg.Client(cluster.url);
    await db.connect();
    const ask = async (sql) => (await db.query(sql)).rows;
    ${then};
    await db.end();
    ${stop ? 'cluster.stop()' : ''};`;
  const run = spawnSync(process.execPath, ['--input-type=module', '-e', code], { encoding: 'utf8' });
  return { ended: run.status, said: run.stdout + run.stderr };
}

describe('the database of npm start', () => {
  const folder = mkdtempSync(join(tmpdir(), 'gonimos-cluster-'));
  chmodSync(folder, 0o755);
  const data = join(folder, 'cluster');
  const settings = join(folder, 'cluster.json');
  const COUNT = `console.log('plants ' + (await ask('SELECT n FROM plants'))[0].n)`;
  before(() => {
    const made = start(folder, `await ask('CREATE TABLE plants AS SELECT 303 AS n')`);
    expect(made.ended, made.said).to.equal(0);
  });
  after(() => {
    start(folder, '');
    rmSync(folder, { recursive: true });
  });

  it('is adopted with all its data when its settings are lost or cannot be read', () => {
    rmSync(settings);
    const lost = start(folder, COUNT);
    expect(lost.said).to.include('plants 303').and.to.include('adopted');
    for (const broken of ['', '{"password": "x"', '{"password": 7, "port": "x"}']) {
      writeFileSync(settings, broken);
      const run = start(folder, COUNT);
      expect(run.said, broken).to.include('plants 303').and.to.include('adopted');
    }
    // what was broken is kept for whoever wants to look, and the next start is an ordinary one
    expect(readdirSync(folder).filter((f) => f.includes('broken'))).to.have.length(3);
    expect(start(folder, COUNT).said).to.include('plants 303').and.not.to.include('adopted');
  }).timeout(120_000);

  it('is refused with words, and left alone, while it runs without settings or is no cluster', () => {
    expect(start(folder, '', false).ended).to.equal(0);
    const text = readFileSync(settings, 'utf8');
    rmSync(settings);
    const running = start(folder, COUNT);
    expect(running.ended).to.equal(1);
    expect(running.said).to.include('Nothing was changed').and.to.include('stop');
    writeFileSync(settings, text);
    expect(start(folder, COUNT).said).to.include('plants 303');

    const other = mkdtempSync(join(tmpdir(), 'gonimos-other-'));
    chmodSync(other, 0o755);
    mkdirSync(join(other, 'cluster'));
    writeFileSync(join(other, 'cluster', 'letters.txt'), 'not yours');
    const foreign = start(other, '');
    expect(foreign.ended).to.equal(1);
    expect(foreign.said).to.include('is no database cluster');
    expect(readdirSync(join(other, 'cluster'))).to.deep.equal(['letters.txt']);
    rmSync(other, { recursive: true });
  }).timeout(120_000);

  it('is removed by nobody who did not make it in the same run', () => {
    const run = start(
      folder,
      `try { cluster.remove(); } catch (e) { console.log('refused: ' + e.message); }`,
    );
    expect(run.said).to.include('refused: ');
    expect(existsSync(data)).to.equal(true);
  });
});

describe('a database for one run', () => {
  it('is gone with all that run on it when the run is ended midway', async () => {
    const lib = new URL('../../scripts/lib', import.meta.url).href;
    const code = `
      const { withCluster } = await import('${lib}/throwaway.mjs');
      const { runs } = await import('${lib}/children.mjs');
      const shown = 'console.log(process.env.GONIMOS_TEST_DATABASE_URL); setInterval(() => {}, 1000)';
      await withCluster((env, folder) => (console.log(folder), runs(process.execPath, ['-e', shown], env)), { volatile: true });`;
    const run = spawn(process.execPath, ['--input-type=module', '-e', code], {
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    let said = '';
    const begun = new Promise<RegExpExecArray>((resolve) => {
      run.stdout.on('data', (d: Buffer) => {
        said += d.toString();
        const told = /(\/\S+gonimos-\S+)\npostgres:.*:(\d+)\//.exec(said);
        if (told) resolve(told);
      });
    });
    const [, folder, port] = await begun;
    expect(existsSync(folder)).to.equal(true);
    run.kill('SIGTERM');
    // it closes when the last that writes to where it writes has ended
    const [ended] = (await once(run, 'close')) as [number];
    expect(ended).to.equal(143);
    expect(existsSync(folder)).to.equal(false);
    const [refused] = await once(connect(Number(port), '127.0.0.1'), 'error');
    expect((refused as NodeJS.ErrnoException).code).to.equal('ECONNREFUSED');
  }).timeout(60_000);
});
