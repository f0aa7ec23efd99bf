import { expect } from 'chai';
import type { Round } from '@gonimos/contract/round';
import type { StockRow } from '@gonimos/contract/stock';
import { bench, id, must, refusal, workshop, type Bench } from './harness.ts';

describe('containers on the shelf', () => {
  let b: Bench;
  let w: Awaited<ReturnType<typeof workshop>>;
  before(async () => {
    b = await bench();
    w = await workshop(b);
  });
  after(() => b.close());

  const stock = async (kind: string) =>
    (await w.v.get<StockRow[]>('/stock')).find((r) => r.container === kind);
  const count = async (kind: string, more: object) => {
    const row = await stock(kind);
    await must(w.v.put('/stock', { container: kind, version: row?.version ?? 0, ...more }));
  };
  const round = () => w.v.get<Round>('/round?most=1000');

  it('a kind nobody has counted is wanted and listed as such, and holds up no step', async () => {
    await b.db('container_stock').where({ container: 'cell-60' }).delete();
    const c = await w.ready();
    const { container: wanted } = await w.step(c.id, 'correct');
    await b.db('container_stock').where({ container: wanted! }).delete();
    const row = (await stock(wanted!))!;
    expect(row).to.include({ have: null, countedOn: null, version: 0 });
    expect(row.wanted).to.be.at.least(30);
    const { uncounted, short } = await round();
    expect(uncounted).to.deep.include({ container: wanted, wanted: row.wanted });
    expect(short.map((s) => s.container)).to.not.include(wanted);
    expect((await w.step(c.id, 'correct')).reasons.some((r) => r.rule === 'stock')).to.equal(false);
    // counted, it is a shelf like any other
    await count(wanted!, { counted: 7 });
    expect(await stock(wanted!)).to.include({ have: 7, version: 1 });
    expect((await round()).uncounted.map((u) => u.container)).to.not.include(wanted);
  });

  it('falls by what was used: pots by plants, trays by trays, and comes back when it is taken back', async () => {
    await count('basket-18', { counted: 500 });
    await count('cutting-tray', { counted: 9 });
    const c = await w.ready();
    const use = (container: string, done: number) => ({
      id: id(),
      cohortId: c.id,
      stepKey: 'correct',
      on: '2037-03-09',
      done,
      finished: false,
      details: { potting: { container } },
    });
    const pots = use('basket-18', 12);
    await must(w.v.post('/records', pots));
    await must(w.v.post('/records', use('cutting-tray', 18)));
    expect([(await stock('basket-18'))!.have, (await stock('cutting-tray'))!.have]).to.deep.equal([488, 8]);
    await must(w.v.post(`/records/${pots.id}/undo`, { id: id() }));
    expect((await stock('basket-18'))!.have).to.equal(500);
  });

  it('a delivery is asked for on its day: all came, or some and the rest later, or none ever', async () => {
    await count('basket-32', { counted: 3, arriving: 40, arrives: '2037-03-10' });
    expect((await round()).arrivals).to.deep.equal([]);
    await must(w.v.post('/demo/calendar', { id: id(), days: 1 }));
    const [asked] = (await round()).arrivals;
    expect(asked).to.include({ container: 'basket-32', arriving: 40, arrives: '2037-03-10' });
    const say = (came: number, rest: string | null, version = asked.version) =>
      w.v.post('/stock/arrival', { id: id(), container: 'basket-32', version, came, rest });
    await refusal(say(10, '2037-03-10'), 'rest');
    await must(say(25, '2037-03-20'));
    expect(await stock('basket-32')).to.include({ have: 28, arriving: 15, arrives: '2037-03-20' });
    expect((await say(25, null)).statusCode, 'said by two at once').to.equal(409);
    expect((await round()).arrivals).to.deep.equal([]);
    for (let week = 0; week < 2; week++) await must(w.v.post('/demo/calendar', { id: id(), days: 7 }));
    await must(say(0, null, asked.version + 1));
    expect(await stock('basket-32')).to.include({ have: 28, arriving: 0, arrives: null });
    await refusal(
      w.v.post('/stock/arrival', { id: id(), container: 'bucket', version: 1, came: 1 }),
      'container',
    );
  });

  it('three hundred to be potted with 220 baskets: a shortage of eighty, named with its day, and who speaks for them', async () => {
    const c = await w.ready({ count: 300, standsAt: 'plug', started: '2036-04-10' });
    const { container: wanted, target } = await w.step(c.id, 'plug');
    // of a kind nobody else speaks for
    expect((await stock(wanted!))!).to.include({ wanted: 300, have: null, short: null });
    await count(wanted!, { counted: 220 });
    const row = (await stock(wanted!))!;
    expect(row.short).to.deep.equal({ count: 80, on: target });
    expect(row.wants).to.deep.equal([{ cohortId: c.id, code: c.code, count: 300, on: target }]);
    const told = (await round()).short.find((s) => s.container === wanted);
    expect(told, 'on the round').to.not.equal(undefined);
    // a delivery that covers them ends it
    await count(wanted!, { counted: 220, arriving: 80, arrives: '2037-04-20' });
    expect((await stock(wanted!))!.short).to.equal(null);
  });

  it('the second best for now: told again before its day, until the plants go on', async () => {
    const c = await w.ready();
    const told = (container: string, until: string | null) => ({
      id: id(),
      cohortId: c.id,
      stepKey: 'correct',
      on: '2037-03-09',
      done: 4,
      finished: false,
      details: { potting: { container, until } },
    });
    await refusal(w.v.post('/records', told('pot-17', '2037-03-09')), 'details.potting.until');
    const watched = async () =>
      (await round()).watch.filter((x) => x.cohortId === c.id && x.text.includes('for now'));
    await must(w.v.post('/records', told('pot-17', '2037-03-30')));
    expect((await watched()).map((x) => x.when)).to.deep.equal(['2037-03-30']);
    const on = told('basket-18', null);
    await must(w.v.post('/records', on));
    expect(await watched()).to.deep.equal([]);
    await must(w.v.post(`/records/${on.id}/undo`, { id: id() }));
    expect(await watched()).to.have.length(1);
  });

  it('fifty moves at once: the shelf lacks what they took, and has it back when they are undone', async () => {
    const c = await w.ready({ count: 60 });
    await count('pot-17', { counted: 50 });
    const moves = Array.from({ length: 50 }, () => ({
      id: id(),
      cohortId: c.id,
      stepKey: 'correct',
      on: '2037-03-09',
      done: 1,
      finished: false,
      details: { potting: { container: 'pot-17' } },
    }));
    await Promise.all(moves.map((m) => must(w.v.post('/records', m))));
    expect((await stock('pot-17'))!.have).to.equal(0);
    for (const m of moves.slice(0, 7)) await must(w.v.post(`/records/${m.id}/undo`, { id: id() }));
    expect((await stock('pot-17'))!.have).to.equal(7);
  });

  it('emptied containers go back on the shelf with the work, once, no more than plants stood in, and not when it is undone', async () => {
    const c = await w.ready();
    const { container: stood } = await w.v.get<{ container: string }>(`/cohorts/${c.id}`);
    await count(stood, { counted: 10, worn: 3 });
    const told = (back: number) => ({
      id: id(),
      cohortId: c.id,
      stepKey: 'correct',
      on: '2037-03-09',
      details: { potting: { container: 'basket-18', back } },
    });
    await refusal(w.v.post('/records', told(9999)), 'details.potting.back');
    const moved = told(1);
    await Promise.all([1, 2].map(() => must(w.v.post('/records', moved))));
    expect(await stock(stood)).to.include({ have: 11, worn: 3 });
    await must(w.v.post(`/records/${moved.id}/undo`, { id: id() }));
    expect((await stock(stood))!.have).to.equal(10);
  });
});

describe('a shelf that holds too little', () => {
  it('the same ones wait day after day: nobody is put off and called back in turn', async () => {
    const b = await bench();
    const w = await workshop(b);
    const [one] = [await w.ready(), await w.ready(), await w.ready()];
    const { container } = await w.step(one.id, 'correct');
    const shelf = async () => (await w.v.get<StockRow[]>('/stock')).find((r) => r.container === container)!;
    const count = async (counted: number) =>
      must(w.v.put('/stock', { container, version: (await shelf()).version, counted, arriving: 0 }));
    await count(0);
    const { wanted } = await shelf();
    await count(Math.floor(wanted / 2));
    const waiting = async (): Promise<string[]> =>
      b.db('course_step').where({ container }).whereNotNull('wantsOn').orderBy('cohortId').pluck('cohort_id');
    const first = await waiting();
    expect(first.length).to.be.above(0);
    for (let day = 0; day < 3; day++) {
      await must(w.v.post('/demo/calendar', { id: id(), days: 1 }));
      expect(await waiting(), `day ${day}`).to.deep.equal(first);
      expect((await shelf()).wanted).to.equal(wanted);
    }
    await count(wanted);
    expect(await waiting()).to.deep.equal([]);
    await b.close();
  }).timeout(60_000);
});
