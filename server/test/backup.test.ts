import { expect } from 'chai';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { LastBackup } from '@gonimos/contract/everything';
import { migrate, openDatabase, type Db } from '../src/db/index.ts';
import { demoDatabase, freshDatabase, Visitor, bench } from './harness.ts';

const command = (name: string, url: string, ...args: string[]) => {
  const env = { ...process.env, GONIMOS_DATABASE_URL: url };
  const run = spawnSync(process.execPath, [`scripts/${name}.mjs`, ...args], { encoding: 'utf8', env });
  return { ended: run.status, said: run.stdout + run.stderr };
};

describe('copies of the database', () => {
  const folder = mkdtempSync(join(tmpdir(), 'gonimos-copies-'));
  after(() => rmSync(folder, { recursive: true }));
  const counts = async (db: Db) => {
    const of: Record<string, number> = {};
    for (const t of ['cohort', 'ledger_entry', 'record', 'course_step', 'person', 'weather_day', 'audit'])
      of[t] = Number((await db(t).count('* as n').first())!.n);
    return of;
  };

  it('are tried when made, come back into an empty database whole, and over another only when told', async () => {
    const from = await demoDatabase();
    const to = await freshDatabase();
    const a = openDatabase(from.url, 2);
    const b = openDatabase(to.url, 2);
    try {
      const made = command('backup', from.url, `${folder}/`);
      expect(made.ended, made.said).to.equal(0);
      expect(made.said).to.match(/tables, \d+ rows, tried/);
      const [file] = readdirSync(folder).map((f) => join(folder, f));
      const back = command('restore', to.url, file);
      expect(back.ended, back.said).to.equal(0);
      expect(await counts(b)).to.deep.equal(await counts(a));
      // into a nursery that is there only when told so; a copy that cannot be read changes nothing
      await b('audit').insert({ subject: 'people', what: 'something since the copy' });
      const changed = await counts(b);
      expect(command('restore', to.url, file)).to.include({ ended: 1 });
      const broken = join(folder, 'broken.dump');
      writeFileSync(broken, 'no copy at all');
      expect(command('restore', to.url, broken, '--over').ended).not.to.equal(0);
      expect(await counts(b)).to.deep.equal(changed);
      expect(command('restore', to.url, file, '--over')).to.include({ ended: 0 });
      expect(await counts(b)).to.deep.equal(await counts(a));
    } finally {
      for (const db of [a, b]) await db.destroy();
      for (const d of [from, to]) await d.drop();
    }
  }).timeout(120_000);

  it('in a folder grow thinner with age: all of a week, one a week, one a month', async () => {
    const old = mkdtempSync(join(tmpdir(), 'gonimos-old-'));
    const day = (ago: number) => new Date(Date.now() - ago * 86_400_000).toISOString().slice(0, 10);
    for (let ago = 1; ago <= 400; ago++) writeFileSync(join(old, `gonimos-${day(ago)}T120000.dump`), '');
    writeFileSync(join(old, 'letters.txt'), 'not a copy');
    const made = await freshDatabase();
    await migrate(made.url);
    const run = command('backup', made.url, old);
    expect(run.ended, run.said).to.equal(0);
    const left = readdirSync(old);
    // seven or eight days, some eight weeks, some twelve months, this one, and what is no copy
    expect(left.length).to.be.within(26, 36);
    expect(left)
      .to.include('letters.txt')
      .and.include(`gonimos-${day(3)}T120000.dump`);
    rmSync(old, { recursive: true });
    await made.drop();
  }).timeout(120_000);

  it('an owner who forgot the password gets a new one at the machine; nobody else does', async () => {
    const made = await demoDatabase();
    const b = await bench({ on: made });
    const given = command('owner', made.url, 'Ines', 'Tessary');
    expect(given.ended, given.said).to.equal(0);
    const password = given.said.trim().split(/\s+/).at(-1)!;
    expect((await new Visitor(b.app).signIn('Ines Tessary', password)).statusCode).to.equal(200);
    const refused = command('owner', made.url, 'Bruno', 'Tessary');
    expect([refused.ended, refused.said]).to.satisfy(
      ([ended, said]: [number, string]) => ended === 1 && said.includes('Owners are: Ines Tessary'),
    );
    await b.close();
  }).timeout(120_000);

  it('an owner is told when the last is old, or there is none; in the demo nobody is', async () => {
    const on = await bench();
    const owner = await on.visitor('owner');
    const told = () => owner.get<LastBackup>('/backup');
    expect(await told()).to.deep.equal({ at: null, old: false });
    await on.db('nursery').update({ demoToday: null });
    expect(await told()).to.deep.equal({ at: null, old: true });
    const ago = (days: number) => new Date(Date.now() - days * 86_400_000).toISOString();
    for (const [days, old] of [
      [13, false],
      [15, true],
    ] as const) {
      await on
        .db('setting')
        .insert({ key: 'last backup', value: ago(days) })
        .onConflict('key')
        .merge();
      expect((await told()).old, `${days} days`).to.equal(old);
    }
    await on.close();
  });
});
