import { expect } from 'chai';
import type { CohortRow, CoursePreview } from '@gonimos/contract/cohorts';
import type { Comparison } from '@gonimos/contract/comparison';
import type { Lineage } from '@gonimos/contract/lineage';
import type { Outcome } from '@gonimos/contract/outcome';
import type { Round } from '@gonimos/contract/round';
import type { SeedLot } from '@gonimos/contract/seed';
import type { Goal, StartAnswer } from '@gonimos/contract/starts';
import { addDays } from '@gonimos/core/calendar';
import { bench, id, must, refusal, seedCohort, workshop, type Bench, type Visitor } from './harness.ts';

const START_OF_CUTTINGS = {
  taxonId: 'ligustrum-ovalifolium',
  programmeId: 'cutting-broadleaf',
  container: 'cutting-tray',
  started: '2036-06-20',
};

describe('propagation', () => {
  let b: Bench;
  let w: Awaited<ReturnType<typeof workshop>>;
  let v: Visitor;
  before(async () => {
    b = await bench();
    w = await workshop(b);
    v = w.v;
  });
  after(() => b.close());

  const cohort: typeof w.cohort = (...a) => w.cohort(...a);
  const enter: typeof w.enter = (...a) => w.enter(...a);

  describe('start numbers', () => {
    const want = (more = {}) => ({
      taxonId: 'prunus-spinosa',
      programmeId: 'cutting-broadleaf',
      placeId: w.placeId('Cold frame'),
      stage: 'single',
      wanted: 20,
      byYear: 2040,
      confidence: 0.9,
      most: 2000,
      cost: { centsEach: 5, wage: 1500 },
      ...more,
    });
    const ask = (more = {}) => must<StartAnswer>(v.post('/calc/start-numbers', want(more)));

    it('rises with confidence, says when it cannot be had, and learns from what was lived through', async () => {
      const a = await ask();
      const sure = await ask({ confidence: 0.95 });
      if (a.number.kind !== 'start' || sure.number.kind !== 'start') throw new Error('not attainable');
      expect(sure.number.count).to.be.above(a.number.count);
      expect(a.number.count).to.be.above(a.number.alone!);
      expect((await ask({ most: 25 })).number.kind).to.equal('not-attainable');
      expect(a.times[0].reaches! > a.times[0].opens).to.equal(true);
      await refusal(v.post('/calc/start-numbers', want({ stage: 'rooted' })), 'stage');
      // two poor years with this kind: more have to be stuck
      for (const started of ['2035-06-20', '2036-06-20']) {
        const c = await enter(
          { taxonId: 'prunus-spinosa', programmeId: 'cutting-broadleaf', container: 'cutting-tray', started },
          120,
        );
        await must(
          v.post('/checks', {
            id: id(),
            cohortId: c.id,
            stepKey: 'check',
            on: addDays(started, 120),
            note: '',
            batches: [{ name: '', rooted: 6, callus: 0, dead: 114 }],
          }),
        );
      }
      const after = await ask();
      expect(after.stages[0].own).to.include({ k: 12, n: 240 });
      expect(after.mean).to.be.below(a.mean);
    });

    it('offers starts, and prunings for them, until the goal is met; then nothing more', async () => {
      const goal = {
        ...want({ stage: 'showing', taxonId: 'carpinus-betulus', wanted: 10 }),
        id: id(),
        note: '',
      };
      await must(v.post('/goals', goal));
      const mine = async () => (await v.get<Goal[]>('/goals')).find((g) => g.id === goal.id)!;
      const open = await mine();
      expect(open.state).to.include({ met: false, expected: 0 });
      expect(open.next!.opens > '2037-03-09').to.equal(true);
      const chopped = await enter(
        { taxonId: 'carpinus-betulus', standsAt: 'chop', started: 'spring 2031', container: 'basket-25' },
        6,
      );
      const r = await must<Outcome>(
        v.post('/records', { id: id(), cohortId: chopped.id, stepKey: 'chop', on: '2037-03-08' }),
      );
      expect(r.offers!.map((o) => [o.goalId, o.parentId, o.count])).to.deep.equal([
        [goal.id, chopped.id, open.state.more],
      ]);
      await enter(
        {
          taxonId: 'carpinus-betulus',
          programmeId: 'cutting-broadleaf',
          container: 'cutting-tray',
          started: '2036-07-01',
          goalId: goal.id,
          parentId: chopped.id,
        },
        open.state.more!,
      );
      const met = await mine();
      expect(met.state).to.include({ met: true, more: null });
      expect([met.next, met.underWay[0].count]).to.deep.equal([null, open.state.more]);
      await must(v.put(`/goals/${goal.id}/close`, { version: 1 }));
      expect(await mine()).to.equal(undefined);
    });
  });

  describe('seed, origin, names', () => {
    it('keeps a lot from harvest to sowing: test, treatment counted back, what is left', async () => {
      const lot = {
        id: id(),
        name: 'Hedge by the mill 36',
        taxonId: 'carpinus-betulus',
        source: 'the long hedge',
        harvested: 'autumn 2036',
        seeds: 800,
        storage: 'moist in the fridge',
        price: null,
      };
      await must(v.post('/seed-lots', lot));
      const say = (e: object) => v.post(`/seed-lots/${lot.id}/events`, { id: id(), note: '', ...e });
      await refusal(say({ kind: 'test', on: '2036-11-02', tested: 20, sound: 21 }), 'sound');
      await refusal(say({ kind: 'to cold', on: '2036-02-02' }), 'harvest');
      await must(say({ kind: 'test', on: '2036-11-02', tested: 50, sound: 41 }));
      await must(say({ kind: 'to cold', on: '2036-12-01' }));
      const sown = await enter({ taxonId: 'carpinus-betulus', lotId: lot.id }, 300);
      const comesUp = async (cohortId: string) => (await w.step(cohortId, 'emergence')).opens;
      expect(await comesUp(sown.id), 'after ninety days of cold').to.match(/^2037/);
      await refusal(v.post('/cohorts', await seedCohort(v, 20, { lotId: lot.id })), 'lotId');
      const found = (await v.get<SeedLot[]>('/seed-lots')).find((l) => l.id === lot.id)!;
      expect([found.left, found.sown[0].count]).to.deep.equal([800 - 50 - 300, 300]);
      expect(found.viability).to.include({ k: 41, n: 50 });
      expect(found.phases[0]).to.include({ what: 'cold', from: '2036-12-01' });
      // out this spring, it is sown in this spring's window, though seed begun only today would miss it
      expect(found.phases.at(-1)!.to).to.match(/^2037-0[3-6]/);
      expect(found.late).to.equal(0);
      // a lot put to cold only days before it was sown wakes a year later, told before the sowing or after it
      const late = { ...lot, id: id(), name: 'Hedge by the ford 36' };
      await must(v.post('/seed-lots', late));
      const ford = await seedCohort(v, 50, { taxonId: lot.taxonId, lotId: late.id });
      const { taxonId, programmeId, placeId, container, started, count } = ford;
      const asked = { taxonId, programmeId, placeId, container, started, count, lotId: late.id };
      const remarks = async () =>
        (await must<CoursePreview>(v.post('/calc/course', asked))).remarks.map((r) => r.code);
      expect(await remarks()).to.include('cold-not-known');
      await must(v.post('/cohorts', ford));
      await must(
        v.post(`/seed-lots/${late.id}/events`, { id: id(), note: '', kind: 'to cold', on: '2037-02-25' }),
      );
      expect(await comesUp(ford.id)).to.match(/^2038/);
      expect(await remarks()).to.include('cold-missing');
    });

    it('asks where plants from elsewhere came from and by whose leave, and holds them apart', async () => {
      const lifted = await seedCohort(v, 1, { programmeId: 'lifted-plant', container: 'basket-32' });
      await refusal(v.post('/cohorts', lifted), 'origin.source');
      const origin = { source: 'the churchyard wall', permission: '', age: null };
      await refusal(v.post('/cohorts', { ...lifted, origin }), 'origin.permission');
      await must(
        v.post('/cohorts', { ...lifted, origin: { ...origin, permission: 'the parish, in writing' } }),
      );
      const c = await cohort(lifted.id);
      expect(c.origin).to.include({ source: 'the churchyard wall', age: null });
      expect(c.quarantine).to.include({ since: '2037-03-01' });
    });

    it('guests stand in the pots of others, and go where those go', async () => {
      const host = await w.ready();
      const guest = await enter({ ...START_OF_CUTTINGS, hostId: host.id, placeId: host.placeId }, 8);
      const elsewhere = { hostId: host.id, placeId: w.placeId('Heated house') };
      await refusal(v.post('/cohorts', await seedCohort(v, 5, elsewhere)), 'placeId');
      const c = await cohort(host.id);
      expect(c.guests).to.deep.equal([{ id: guest.id, code: guest.code, live: 8 }]);
      const { due, soon } = await v.get<Round>('/round?most=1000');
      const card = [...due, ...soon].find((s) => s.cohortId === host.id)!;
      expect(card.guests, 'told where the pots are worked on').to.deep.equal([{ code: guest.code, live: 8 }]);
      const to = w.placeId('South bench');
      const edit = { version: c.version, code: c.code, placeId: to, moveAnyway: 'all benches are turned' };
      await must(v.put(`/cohorts/${host.id}`, edit));
      expect((await cohort(guest.id)).placeId).to.equal(to);
      expect((await cohort(guest.id)).host).to.deep.equal({ id: host.id, code: host.code });
    });

    it('compares two seed years by their trays, and does not say why they differ', async () => {
      const year = async (started: string, on: string, up: [number, number]) => {
        const c = await enter({ taxonId: 'fagus-sylvatica', started }, 80);
        for (const [i, n] of up.entries()) {
          const tray = id();
          await must(
            v.post(`/cohorts/${c.id}/trays`, { id: tray, name: `${i}`, rows: 4, columns: 10, fill: 40 }),
          );
          const marks = (cells: number[], now: string) =>
            v.post(`/trays/${tray}/marks`, {
              id: id(),
              on,
              marks: cells.map((cell) => ({ cell, was: 'sown', now })),
            });
          await must(marks(range(0, n), 'up'));
          await must(marks(range(n, 40), 'eaten'));
        }
      };
      const range = (from: number, to: number) => Array.from({ length: to - from }, (_, i) => from + i);
      await year('2035-03-10', '2035-05-10', [34, 30]);
      await year('2036-03-10', '2036-05-10', [6, 10]);
      const c = await v.get<Comparison>('/comparison?taxonId=fagus-sylvatica&by=year');
      expect(c.units.map((u) => [u.group, u.tray, u.k, u.n])).to.deep.equal([
        ['2035', '0', 34, 40],
        ['2035', '1', 30, 40],
        ['2036', '0', 6, 40],
        ['2036', '1', 10, 40],
      ]);
      // 64 and 16 of 80; each tray of 40 counts for 40 / (1 + 39 · 0.1) by the library’s correlation
      expect(c.rates.groups.map((g) => [g.k, g.n, g.units])).to.deep.equal([
        [64, 80, 2],
        [16, 80, 2],
      ]);
      expect(c.rates.groups[0].effective).to.be.closeTo((2 * 40) / 4.9, 1e-9);
      expect(c.differences[0].verdict).to.equal('fewer');
      expect(c.differences[0].sentence).to.match(/fewer than trays differ by chance.*It does not say why/);
    });

    it('follows plants through split, merge, fusing, tag and new names, and loses none', async () => {
      const c = await w.ready();
      const part = id();
      const plant = id();
      const on = `/cohorts/${c.id}`;
      const partCode = `${c.code}B`;
      await must(
        v.post(`${on}/split`, { id: id(), newId: part, newCode: partCode, placeId: c.placeId, count: 12 }),
      );
      await must(
        v.post(`${on}/promote`, { id: id(), newId: plant, newCode: `${c.code}-1`, tag: `${c.code}·1` }),
      );
      await must(v.post(`/cohorts/${part}/merge`, { id: id(), intoId: c.id, count: 4 }));
      await must(v.post(`${on}/fuse`, { id: id(), stems: 6, into: 2, note: 'clump' }));
      await refusal(v.post(`${on}/fuse`, { id: id(), stems: 200, into: 2 }), 'count');
      // 30 − 12 − 1 + 4 − 6 + 2 by hand
      const lives = await Promise.all([c.id, part, plant].map(async (x) => (await cohort(x)).live));
      expect(lives).to.deep.equal([17, 8, 1]);
      await refusal(
        v.post(`${on}/tallies`, { id: id(), kind: 'grade', on: '2037-03-08', counts: { A: 9, B: 9 } }),
        '18',
      );
      await must(
        v.post(`${on}/tallies`, { id: id(), kind: 'grade', on: '2037-03-08', counts: { A: 9, B: 8 } }),
      );
      await must(
        v.post(`/cohorts/${plant}/identify`, { id: id(), newTag: `${c.code}·9`, reason: 'label swapped' }),
      );
      const row = (await v.get<CohortRow[]>('/cohorts')).find((r) => r.id === plant)!;
      expect(row).to.deep.include({ tag: `${c.code}·9`, formerly: [`${c.code}·1`] });
      const { family, identities } = await v.get<Lineage>(`/cohorts/${plant}/lineage`);
      expect(identities[0]).to.deep.include({ reason: 'label swapped' });
      expect(family.edges.map((e) => [e.kind, e.n])).to.have.deep.members([
        ['split', 12],
        ['plant', 1],
      ]);
    });
  });
});
