import { expect } from 'chai';
import type { RootBench } from '@gonimos/contract/root-records';
import type { StanceRow } from '@gonimos/contract/stance';
import type { StemBench } from '@gonimos/contract/stem-records';
import { bench, id, must, refusal, workshop, type Bench } from './harness.ts';

const ROOTS = {
  trunk: 30,
  front: 180,
  roots: [{ id: 'a', azimuth: 90, diameter: 4, height: 0, angle: 5, path: [{ azimuth: 90, out: 60 }] }],
};
const STEM = { base: 24, height: 700, front: 180, parts: [] };

describe('how a plant stands', () => {
  let b: Bench;
  let w: Awaited<ReturnType<typeof workshop>>;
  let cohortId: string;
  before(async () => {
    b = await bench();
    w = await workshop(b);
  });
  beforeEach(async () => {
    cohortId = (await w.ready()).id;
  });
  after(() => b.close());

  const draw = async (of: 'root' | 'stem', front: number, more: object = {}, decided: object = {}) => {
    const drawn = {
      id: id(),
      cohortId,
      label: 'no. 7',
      on: '2037-03-09',
      record: { ...(of === 'root' ? ROOTS : STEM), front },
      decided,
      ...more,
    };
    await must(w.v.post(`/${of}-records`, drawn));
    return drawn;
  };
  const leaning = (tilt: number, towards = 90) => ({ lean: { tilt, towards } });
  const read = async (): Promise<StanceRow[]> => {
    const roots = await w.v.get<RootBench>(`/cohorts/${cohortId}/roots`);
    const stem = await w.v.get<StemBench>(`/cohorts/${cohortId}/stem`);
    expect(roots.stances, 'both benches say the same').to.deep.equal(stem.stances);
    return roots.stances;
  };

  it('what was decided last counts, on whichever bench; a drawing that decides nothing says nothing', async () => {
    await draw('root', 180);
    expect(await read()).to.deep.equal([]);
    await draw('root', 190, {}, { ...leaning(4), aside: 12 });
    const said = { label: 'no. 7', on: '2037-03-09' };
    expect(await read()).to.deep.equal([
      { ...said, bench: 'roots', front: 190, tilt: 4, towards: 90, aside: 12, behind: 0 },
    ]);
    await draw('stem', 220, {}, { ...leaning(6, 45), behind: -5 });
    expect(await read()).to.deep.equal([
      { ...said, bench: 'stem', front: 220, tilt: 6, towards: 45, aside: 0, behind: -5 },
    ]);
    await draw('stem', 10);
    expect((await read())[0].front).to.equal(220);
  });

  it('an older drawing that is changed today speaks last on its day, and no later than a drawing of a later one', async () => {
    const first = await draw('root', 100, {}, leaning(1));
    await draw('stem', 200, {}, leaning(2));
    const { cohortId: _, ...sent } = { ...first, id: id(), version: 1 };
    await must(
      w.v.put(`/root-records/${first.id}`, {
        ...sent,
        record: { ...ROOTS, front: 110 },
        decided: leaning(3),
      }),
    );
    expect((await read()).map((s) => [s.bench, s.front, s.tilt])).to.deep.equal([['roots', 110, 3]]);
    // a drawing entered late, of a day before
    await draw('stem', 300, { on: '2037-02-01' }, leaning(9));
    expect((await read())[0].front).to.equal(110);
  });

  it('each plant of a cohort for itself; what was taken back is not asked; undecided again, the one before counts', async () => {
    await draw('root', 100, {}, leaning(1));
    await draw('root', 50, { label: 'no. 8' }, leaning(0));
    const last = await draw('stem', 200, {}, leaning(2));
    expect((await read()).map((s) => [s.label, s.front])).to.deep.equal([
      ['no. 7', 200],
      ['no. 8', 50],
    ]);
    const { cohortId: _, ...sent } = { ...last, id: id(), version: 1, decided: { lean: null } };
    await must(w.v.put(`/stem-records/${last.id}`, sent));
    expect((await read())[0].front).to.equal(100);
    await must(w.v.put(`/stem-records/${last.id}`, { ...sent, id: id(), version: 2, decided: leaning(5) }));
    expect((await read())[0].front).to.equal(200);
    await must(w.v.post(`/stem-records/${last.id}/withdraw`, { id: id(), version: 3 }));
    expect((await read())[0].front).to.equal(100);
  });

  it('a drawing of before it was asked is read, and stands undecided', async () => {
    const old = await draw('stem', 180, {}, leaning(5));
    await b.db.raw(`UPDATE stem_record SET decided = decided - 'lean' - 'aside' - 'fronts' WHERE id = ?`, [
      old.id,
    ]);
    expect(await read()).to.deep.equal([]);
  });

  it('what is no lean is refused by field and reason, and keeps nothing', async () => {
    const faults: [object, string][] = [
      [{ lean: { tilt: 60, towards: 0 } }, 'decided.lean.tilt'],
      [{ lean: { tilt: -1, towards: 0 } }, 'decided.lean.tilt'],
      [{ lean: { tilt: 5, towards: 400 } }, 'decided.lean.towards'],
      [{ lean: { tilt: 5 } }, 'decided.lean.towards'],
      [{ lean: 'left' }, 'decided.lean'],
      [{ aside: 5000 }, 'decided.aside'],
      [{ behind: 'far' }, 'decided.behind'],
    ];
    for (const [decided, field] of faults)
      for (const of of ['root', 'stem'] as const)
        await refusal(
          w.v.post(`/${of}-records`, {
            id: id(),
            cohortId,
            on: '2037-03-09',
            record: of === 'root' ? ROOTS : STEM,
            decided,
          }),
          field,
        );
    const stem = { id: id(), cohortId, on: '2037-03-09', record: STEM };
    await refusal(w.v.post('/stem-records', { ...stem, decided: { fronts: [1, 2, 3, 4, 5] } }), 'at most 4');
    await refusal(w.v.post('/stem-records', { ...stem, decided: { fronts: [400] } }), 'decided.fronts[0]');
    expect((await w.v.get<StemBench>(`/cohorts/${cohortId}/stem`)).records).to.deep.equal([]);
  });
});
