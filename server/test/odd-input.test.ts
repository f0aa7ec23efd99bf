import { expect } from 'chai';
import type { ImportReport } from '@gonimos/contract/files';
import type { Problem } from '@gonimos/contract/problem';
import type { StockRow } from '@gonimos/contract/stock';
import type { Year } from '@gonimos/contract/year';
import { bench, id, must, refusal, seedCohort, workshop, type Bench, type Visitor } from './harness.ts';

describe('input that is odd rather than malformed', () => {
  let b: Bench;
  let w: Awaited<ReturnType<typeof workshop>>;
  let v: Visitor;
  before(async () => {
    b = await bench();
    w = await workshop(b);
    v = w.v;
  });
  after(() => b.close());

  it('null is taken where a field may be empty: stock with no delivery, a step let go', async () => {
    const [row] = await v.get<StockRow[]>('/stock');
    await must(
      v.put('/stock', { container: row.container, version: row.version, counted: 5, arrives: null }),
    );
    const c = await w.ready();
    const open = (await w.course(c.id)).steps.find((s) => s.status === 'planned' && s.ready)!;
    for (const week of ['2037-03-16', null])
      await must(v.put('/year/step', { cohortId: c.id, key: open.key, week }));
  });

  it('what the season asks for keeps the season’s days; one step stands once in a list', async () => {
    const s = (await b.db('course_step').whereLike('key', 'shelter-%').where('status', 'planned').first())!;
    const what = { cohortId: s.cohortId, stepKey: s.key };
    const said = 'asked for by the season';
    await refusal(v.post('/calc/move', { ...what, to: '2037-11-01' }), said);
    await refusal(v.post('/moves', { id: id(), ...what, to: '2037-11-01', reason: 'x' }), said);
    await refusal(v.post('/put-offs', { id: id(), ...what, until: '2037-11-20', reason: 'x' }), said);
    await refusal(v.put('/year/step', { cohortId: s.cohortId, key: s.key, week: '2037-11-02' }), said);
    const c = await w.ready();
    const line = { cohortId: c.id, key: 'correct', week: '2037-03-16', later: 0 };
    await refusal(v.post('/year/weeks', { id: id(), weeks: [line, line] }), 'weeks[1].key');
  });

  it('figures hard to believe are asked back, and taken when they are meant; impossible ones are refused', async () => {
    const c = await w.ready();
    const recount = { type: 'recount', on: '2037-03-02', count: 99_999 };
    await refusal(
      v.post(`/cohorts/${c.id}/ledger`, { id: id(), ...recount }),
      '99999 were found where 30 stood',
    );
    await must(v.post(`/cohorts/${c.id}/ledger`, { id: id(), ...recount, count: 45 }));
    await must(v.post(`/cohorts/${c.id}/ledger`, { id: id(), ...recount, count: 300, meant: true }));
    const look = { cohortId: c.id, stepKey: null, on: '2037-03-03' };
    const sizes = { calipers: [1000, 0.1] };
    const told = { ...look, details: { sizes } };
    await refusal(v.post('/records', { id: id(), ...told }), 'calipers of 0.1 mm and 1000 mm');
    await must(v.post('/records', { id: id(), ...told, meant: true }));
    // one that stands apart from its sample: a slip of the pen, or a giant
    const slip = { ...look, details: { sizes: { calipers: [6.2, 5.8, 6.9, 6.4, 62, 5.9] } } };
    await refusal(
      v.post('/records', { id: id(), ...slip }),
      'a caliper of 62 mm stands apart from the other 5',
    );
    await must(v.post('/records', { id: id(), ...slip, meant: true }));
    const losses = [{ id: id(), kind: 'lost', count: 99_999, cause: 'frost' }];
    await refusal(v.post('/records', { id: id(), ...look, losses }), 'more plants would leave');
    await refusal(
      v.post('/cohorts', await seedCohort(v, 10, { started: '1900' })),
      'more than 100 years ago',
    );
    const place = { kind: 'house', night: 20, day: 0, heatedTo: null, light: 'full' };
    await refusal(v.post('/places', { id: id(), name: 'Warm', ...place }), 'heatedTo');
    await must(v.post('/places', { id: id(), name: 'Warm', ...place, heatedTo: 18 }));
    for (const name of ['South\u200bbench', '\u202ehcneb', '\u2060', '…'])
      await refusal(v.post('/places', { id: id(), name, ...place, heatedTo: 18 }), 'name');
  });

  it('a number in a file that can be read in two ways is a fault of its line, with both readings', async () => {
    const told = async (count: string) => {
      const line = `ZZ-1,acer-campestre,seed-broadleaf,Cold frame,seed-flat,2037-03-01,"${count}"`;
      const csv = `code,taxon,programme,place,container,started,count\n${line}\n`;
      const r = await must<ImportReport>(
        v.post('/files/cohorts', { id: id(), importId: id(), confirm: false, csv }),
      );
      return r.lines[0].faults.map((f) => `${f.field} ${f.reason}`).join('; ');
    };
    expect(await told('1,000')).to.match(/^count may be 1000 or 1:/);
    expect(await told('1.000')).to.match(/^count may be 1000 or 1:/);
    expect(await told('12.500')).to.match(/^count may be 12500 or 12.5:/);
    expect(await told('0x10')).to.match(/^count may be 16 or a slip/);
    expect(await told('1e2')).to.match(/^count may be 100 or a slip/);
    for (const plain of ['1000', ' 12 ']) expect(await told(plain)).to.equal('');
  });

  it('a form cut off half way, and JSON without end, are bad requests', async () => {
    const c = await w.ready();
    const send = (url: string, type: string, payload: string) =>
      b.app.inject({
        method: 'POST',
        url: `/api${url}`,
        payload,
        remoteAddress: '10.9.9.9',
        headers: { cookie: v.cookie, 'x-csrf-token': v.csrf, 'content-type': type },
      });
    const part = '--xx\r\nContent-Disposition: form-data; name="picture"; filename="a.png"\r\n';
    const cut = `${part}Content-Type: image/png\r\n\r\n\x89PNG`;
    expect(
      (await send(`/cohorts/${c.id}/pictures`, 'multipart/form-data; boundary=xx', cut)).statusCode,
    ).to.equal(400);
    const deep = `{"a":${'['.repeat(5000)}${']'.repeat(5000)}}`;
    const r = await send('/records', 'application/json', deep);
    expect([r.statusCode, r.body.length < 600]).to.deep.equal([400, true]);
    expect((await v.post('/records', { id: id(), toString: 1 })).json()).to.have.nested.property(
      'errors[0].field',
      'toString',
    );
  });

  it('hours and absences changed by two are changed by one, and the other is told what stands now', async () => {
    const owner = await b.visitor('owner');
    const { people } = await owner.get<Year>('/year?weeks=26');
    const p = people.find((x) => x.role === 'helper')!;
    const say = (hours: number) =>
      owner.put(`/people/${p.id}/hours`, { version: p.version, hours, skilled: true });
    await must(say(20));
    expect([(await say(30)).statusCode, (await say(30)).json<Problem>().current]).to.deep.equal([
      409,
      { version: p.version + 1, hours: 20, skilled: true },
    ]);
    const away = (hours: number | null, was: number | null) =>
      v.put(`/people/${p.id}/absence`, { week: '2037-03-16', hours, was });
    await must(away(0, null));
    expect((await away(5, null)).statusCode).to.equal(409);
    await must(away(5, 0));
    await must(away(null, 5));
  });
});
