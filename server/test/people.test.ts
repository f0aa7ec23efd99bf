import { expect } from 'chai';
import type { AuditLine } from '@gonimos/contract/audit';
import type { PersonRow, SessionRow } from '@gonimos/contract/people';
import { hashOf, sweep } from '../src/people/session-store.ts';
import { bench, id, must, refusal, Visitor, type Bench } from './harness.ts';

const OWN = 'wet hands and string';

describe('people, passwords and sessions', () => {
  let b: Bench;
  let owner: Visitor;
  before(async () => {
    b = await bench();
    owner = await b.visitor('owner');
  });
  after(() => b.close());
  const people = () => owner.get<PersonRow[]>('/people');
  const who = async (name: string) => (await people()).find((p) => p.name === name)!;
  const add = async (name: string, role = 'helper') => {
    await must(owner.post('/people', { id: id(), name, role, password: OWN }));
    return who(name);
  };
  const status = async (v: Visitor) => (await v.send('GET', '/api/cohorts')).statusCode;
  const signIn = (name: string, password = OWN) => new Visitor(b.app).signIn(name, password);

  it('two owners who take each other’s role at once: one stays; the last can be neither demoted nor kept out', async () => {
    for (let i = 0; i < 5; i++) {
      const ines = (await people()).find((p) => p.role === 'owner' && !p.disabled)!;
      const other = await add(`Owner ${i}`, 'owner');
      const change = (p: PersonRow) =>
        i % 2
          ? owner.put(`/people/${p.id}`, { version: p.version, role: 'helper' })
          : owner.put(`/people/${p.id}/disabled`, { version: p.version, disabled: true });
      const both = await Promise.all([change(ines), change(other)]);
      // she who keeps herself out first is signed out before the other change is asked for
      const [won, lost] = both.map((r) => r.statusCode).sort((x, y) => x - y);
      expect(won).to.equal(200);
      expect([401, 409], both.map((r) => r.body).join()).to.include(lost);
      const left: { id: string; version: number }[] = await b
        .db('person')
        .where({ role: 'owner', disabledAt: null })
        .select('id', 'version');
      expect(left).to.have.length(1);
      owner = await new Visitor(b.app).enter('owner');
      await refusal(
        owner.put(`/people/${left[0].id}`, { version: left[0].version, role: 'grower' }),
        'at least one owner',
      );
    }
  });

  it('a person kept out is out at once and cannot sign in; let in again, they can', async () => {
    const p = await add('Mirko');
    const v = new Visitor(b.app);
    expect((await v.signIn('Mirko', OWN)).statusCode).to.equal(200);
    const out = await must<PersonRow>(
      owner.put(`/people/${p.id}/disabled`, { version: p.version, disabled: true }),
    );
    expect(await status(v)).to.equal(401);
    expect((await signIn('Mirko')).statusCode).to.equal(401);
    await must(owner.put(`/people/${p.id}/disabled`, { version: out.version, disabled: false }));
    expect((await signIn('Mirko')).statusCode).to.equal(200);
  });

  it('passwords: one’s own with the one it replaces, reset by an owner, common ones refused', async () => {
    const p = await add('Tilda', 'grower');
    const here = new Visitor(b.app);
    const elsewhere = new Visitor(b.app);
    for (const v of [here, elsewhere]) await v.signIn('Tilda', OWN);
    const change = (current: string, password: string) =>
      here.put('/session/password', { current, password });
    await refusal(change('not mine at all', 'another long one'), 'current');
    for (const common of ['1234567890', 'BasketBall', 'qwertyuiop'])
      await refusal(change(OWN, common), 'tried first');
    await must(change(OWN, 'another long one'));
    expect([await status(here), await status(elsewhere)]).to.deep.equal([200, 401]);
    expect((await signIn('Tilda')).statusCode).to.equal(401);
    await must(owner.put(`/people/${p.id}/password`, { version: p.version, password: 'given by the owner' }));
    expect(await status(here)).to.equal(401);
    expect((await signIn('Tilda', 'given by the owner')).statusCode).to.equal(200);
    const kept = JSON.stringify(await b.db('write_receipt').whereLike('route', '%password%').select());
    expect(kept).not.to.include('given by');
    const common = { id: id(), name: 'Rolf', role: 'helper', password: 'basketball1' };
    await refusal(owner.post('/people', { ...common, password: 'basketball' }), 'tried first');
  });

  it('a name tried too often waits, whoever asks from wherever, and whether it is anybody’s or not', async () => {
    await add('Wanda');
    for (const name of ['Wanda', 'Nobody at all'])
      await b.db('failed_sign_in').insert(Array.from({ length: 20 }, () => ({ name })));
    for (const name of ['Wanda', 'Nobody at all']) {
      const r = await signIn(name);
      expect([r.statusCode, Number(r.headers['retry-after']) > 60]).to.deep.equal([429, true]);
    }
    await b.db('failed_sign_in').update({ at: b.db.raw(`now() - interval '16 minutes'`) });
    expect((await signIn('Wanda')).statusCode).to.equal(200);
    expect(await b.db('failed_sign_in').where({ name: 'Wanda' })).to.deep.equal([]);
  });

  it('sessions: ids hashed, none for who only looks, listed, ended, over when idle, swept', async () => {
    const count = async () => Number((await b.db('session').count({ n: '*' }).first())!.n);
    const before = await count();
    const looker = await b.visitor();
    await looker.get('/session');
    expect(await count()).to.equal(before);
    await add('Selma');
    const v = new Visitor(b.app);
    await v.signIn('Selma', OWN);
    const sid = decodeURIComponent(v.cookies.get('gonimos')!).split('.')[0];
    const row = (await b
      .db('session')
      .where({ hash: hashOf(sid) })
      .first())!;
    expect(JSON.stringify(await b.db('session').select())).not.to.include(sid);
    expect(row.seenAt).to.be.instanceOf(Date);
    expect(row.agent, 'what the browser says it is').to.match(/light-?my-?request/i);
    const own = await v.get<SessionRow[]>('/sessions');
    expect(own.map((s) => [s.name, s.own])).to.deep.equal([['Selma', true]]);
    const all = await owner.get<SessionRow[]>('/sessions');
    expect(all.map((s) => s.name)).to.include('Selma');
    const theirs = all.find((s) => s.own)!;
    expect((await v.post(`/sessions/${theirs.hash}/end`, { id: id() })).statusCode).to.equal(404);
    await must(owner.post(`/sessions/${own[0].hash}/end`, { id: id() }));
    expect(await status(v)).to.equal(401);
    await v.signIn('Selma', OWN);
    await b
      .db('session')
      .where({ personId: row.personId })
      .update({ seenAt: b.db.raw(`now() - interval '4 days'`) });
    expect(await status(v)).to.equal(401);
    await sweep(b.db);
    expect(await b.db('session').where({ personId: row.personId })).to.deep.equal([]);
  });

  it('the trail tells owners, and nobody else, who changed people, site, schools and programmes', async () => {
    const nursery = await owner.get<{ version: number }>('/nursery');
    await must(owner.put('/nursery/schools', { version: nursery.version, schools: { 'root-ball': 'bare' } }));
    const lines = await owner.get<AuditLine[]>('/audit');
    const told = lines.map((l) => `${l.subject}: ${l.what}`);
    expect(told[0]).to.equal('schools: Schools of the nursery: root-ball bare');
    expect(told)
      .to.include('people: Selma was added as helper')
      .and.include('people: Tilda was given a new password');
    expect(lines.every((l) => l.by.length > 0 && !l.what.includes(OWN))).to.equal(true);
    expect((await (await b.visitor('grower')).send('GET', '/api/audit')).statusCode).to.equal(403);
    await b
      .db('audit')
      .update({ what: 'nothing' })
      .then(
        () => expect.fail('the trail was changed'),
        (e: Error) => expect(e.message).to.match(/append-only/),
      );
  });
});
