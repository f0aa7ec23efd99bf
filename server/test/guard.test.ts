import { expect } from 'chai';
import { ROLES, type Role } from '@gonimos/contract/people';
import { bench, id, seedCohort, Visitor, type Bench } from './harness.ts';

describe('who may do what', () => {
  let b: Bench;
  before(async () => (b = await bench()));
  after(() => b.close());

  it('every route under /api answers every role as it declares, and no one else', async () => {
    const visitors = {
      none: await b.visitor(),
      ...Object.fromEntries(await Promise.all(ROLES.map(async (r) => [r, await b.visitor(r)]))),
    } as Record<Role | 'none', Visitor>;
    const routes = b.app.declared.filter((r) => r.url.startsWith('/api'));
    expect(routes.length).to.be.at.least(35);
    const wrong: string[] = [];
    for (const r of routes) {
      if (r.url.startsWith('/api/session') || r.url === '/api/owner') continue;
      for (const [who, v] of Object.entries(visitors)) {
        const url = r.url.replace(':id', id());
        const { statusCode } = await v.send(r.method, url, r.method === 'GET' ? undefined : {});
        const may =
          r.role === 'anyone' || (who !== 'none' && ROLES.indexOf(who as Role) >= ROLES.indexOf(r.role));
        const said = who === 'none' ? 401 : 403;
        if (may ? [401, 403].includes(statusCode) || statusCode >= 500 : statusCode !== said)
          wrong.push(`${r.method} ${url} as ${who}: ${statusCode}`);
      }
    }
    expect(wrong).to.deep.equal([]);
  });

  it('refuses writes without the token, sets safe cookies and headers', async () => {
    const v = await b.visitor('grower');
    v.csrf = '';
    const r = await v.post('/cohorts', await seedCohort(await b.visitor('grower')));
    expect(r.statusCode).to.equal(403);
    const fresh = await b.app.inject({ method: 'GET', url: '/api/session' });
    expect(fresh.headers['set-cookie'])
      .to.match(/HttpOnly/)
      .and.match(/SameSite=Strict/);
    expect(fresh.headers['content-security-policy']).to.include("default-src 'self'");
    expect(fresh.headers['x-content-type-options']).to.equal('nosniff');
    expect(fresh.headers['x-frame-options']).to.exist;
  });

  it('gives a new session on signing in, ends it on leaving, and on a change of role', async () => {
    const v = await new Visitor(b.app).arrive();
    const before = v.cookie;
    await v.enter('helper');
    expect(v.cookie).not.to.equal(before);
    const kept = v.cookies.get('gonimos')!;
    expect((await v.post('/session/end', {})).statusCode).to.equal(204);
    v.cookies.set('gonimos', kept);
    expect((await v.send('GET', '/api/cohorts')).statusCode).to.equal(401);

    const owner = await b.visitor('owner');
    const helper = await b.visitor('helper');
    const people = await owner.get<{ id: string; role: string; version: number }[]>('/people');
    const alma = people.find((p) => p.role === 'helper')!;
    expect(
      (await owner.put(`/people/${alma.id}`, { version: alma.version, role: 'grower' })).statusCode,
    ).to.equal(200);
    expect((await helper.send('GET', '/api/cohorts')).statusCode).to.equal(401);
    // asked before signing in and answered after it: the answer takes no session away
    const early = await b.visitor();
    const asked = early.cookie;
    await early.enter('grower');
    expect(early.cookie).to.not.equal(asked);
    const late = await b.app.inject({ url: '/api/cohorts', headers: { cookie: asked } });
    expect([late.statusCode, late.headers['set-cookie']]).to.deep.equal([401, undefined]);
    expect(late.headers['cache-control'], 'kept by no cache').to.equal('no-store');
    expect((await early.send('GET', '/api/cohorts')).statusCode).to.equal(200);
    const ines = people.find((p) => p.role === 'owner')!;
    expect(
      (await owner.put(`/people/${ines.id}`, { version: ines.version, role: 'helper' })).statusCode,
    ).to.equal(409);
  });
});

describe('a nursery of one’s own', () => {
  let b: Bench;
  before(async () => (b = await bench({ demo: false })));
  after(() => b.close());

  const owner = {
    name: 'Ada',
    password: 'a long enough one',
    nursery: 'Lower Field',
    latitude: -41,
    longitude: 173,
    elevation: 20,
    timeZone: 'Pacific/Auckland',
    spreadWinter: 2.5,
    spreadSummer: 2.5,
    tmin: [13, 13, 11, 8, 5, 3, 2, 3, 5, 7, 9, 11],
    tmax: [22, 23, 21, 18, 16, 13, 13, 14, 15, 17, 19, 21],
  };

  it('is made once by the first visitor, signs in by password, and limits tries', async () => {
    const v = await b.visitor();
    expect(await v.get('/session')).to.include({ empty: true, demo: false });
    const short = await v.post('/owner', { ...owner, password: 'short' });
    expect(short.json().errors[0]).to.include({ field: 'password' });
    const made = await v.post('/owner', owner);
    expect(made.statusCode, made.body).to.equal(200);
    const again = await b.visitor();
    expect((await again.post('/owner', owner)).statusCode).to.equal(409);
    expect((await again.post('/session/demo', { role: 'owner' })).statusCode).to.equal(403);
    expect((await again.post('/session', { name: 'Ada', password: 'wrong wrong' })).statusCode).to.equal(401);
    expect(
      (await again.post('/session', { name: 'Ada', password: owner.password })).json().person,
    ).to.include({ role: 'owner' });
    const tries = [];
    for (let i = 0; i < 12; i++)
      tries.push((await again.post('/session', { name: 'Ada', password: 'x' })).statusCode);
    expect(tries.at(-1)).to.equal(429);
  });

  it('describes its interface, answers for its health, keeps passwords as argon2id', async () => {
    const v = await b.visitor();
    expect(await v.get('/health')).to.deep.equal({ ok: true });
    const spec = await v.get<{ paths: Record<string, { post?: { requestBody?: unknown } }> }>(
      '/openapi.json',
    );
    expect(Object.keys(spec.paths).length).to.be.at.least(28);
    expect(JSON.stringify(spec.paths['/api/records'].post!.requestBody)).to.include('cohortId');
    const { passwordHash: hash } = (await b.db('person').first('passwordHash'))!;
    expect(hash).to.match(/^\$argon2id\$/);
  });
});
