import '../window';
import { expect } from 'chai';
import { Outlet } from 'react-router';
import type { StemBench, StemRecordRow } from '@gonimos/contract/stem-records';
import type { StemPart as Part } from '@gonimos/core/stem';
import { GROWTH_GROUPS } from '@gonimos/core/taxa';
import { StemPart } from '../../src/stem/bench';
import { cohortOf } from '../cohort';
import { ID, shown, TODAY } from '../page';

const part = (
  id: string,
  height: number,
  azimuth: number,
  diameter: number,
  more: Partial<Part> = {},
): Part => ({
  id,
  kind: 'branch',
  height,
  azimuth,
  diameter,
  since: null,
  foliage: null,
  feeds: null,
  role: null,
  rise: null,
  vitality: null,
  long: null,
  note: '',
  ...more,
});
const PARTS = [part('a', 120, 90, 6, { role: 'first' }), part('b', 150, 270, 7), part('c', 260, 40, 5)];
const row = (more: Partial<StemRecordRow> = {}): StemRecordRow => ({
  id: ID(31),
  label: 'no. 7',
  on: '2037-03-02',
  record: { base: 30, height: 900, front: 180, girths: [], parts: PARTS },
  decided: { finished: 400, style: 'usual', way: null, cutAt: null, wires: [] },
  note: '',
  version: 2,
  by: 'Ada',
  ...more,
});
const bench = (more: Partial<StemBench> = {}): StemBench => ({
  records: [row()],
  start: {
    year: 2037,
    ring: 7.7,
    tolerance: GROWTH_GROUPS['deciduous-broadleaf'],
    vigour: 4,
    caliper: 30,
    height: 900,
    litres: 12,
    wall: 'air-pruning',
  },
  way: 'staged',
  wounds: 'sealed',
  sprouts: {
    mean: 0.9,
    own: null,
    library: { value: 0.9, basis: 'common practice' },
    stems: 0,
    batches: 0,
    shoots: null,
  } as unknown as StemBench['sprouts'],
  roots: [],
  step: {
    key: 'chop#1',
    title: 'Chop',
    operation: 'chop',
    opens: '2037-02-20',
    closes: '2037-03-30',
    ready: true,
  },
  left: null,
  held: { off: 0, kept: 0, days: null },
  ...more,
});

const cohort = cohortOf({ live: 24 });
const WithCohort = () => <Outlet context={cohort} />;
const page = (data: StemBench, answers: object = {}, kept: Record<string, unknown> = {}) =>
  shown(<WithCohort />, {
    kept,
    inside: <StemPart />,
    answers: {
      [`/cohorts/${ID(1)}/stem`]: data,
      'POST /calc/bites': (_: string, body: Record<string, unknown>) =>
        (body.stretches as { id: string }[]).map(({ id }) => ({
          id,
          thick: 6,
          due: '2037-07-18',
          bites: true,
        })),
      ...answers,
    },
  });
type Page = Awaited<ReturnType<typeof page>>;
const wireLines = (p: Page) => p.queryAllByRole('listitem', { name: /^Wire \d/ }).map((l) => l.textContent);

describe('the stem bench', () => {
  it('one tap wires what is to be a branch; gauge, coil, length and the day it bites are said', async () => {
    const p = await page(bench());
    await p.user.click(await p.findByRole('button', { name: 'Wire what is to be a branch' }));
    await p.findByText(/Bites by 18 Jul/);
    const [line] = wireLines(p);
    expect(line).to.match(
      /^a: branch at 120 mm, E, 6 mm 2.0 mm aluminium, \d+ turns clockwise, \d+ mm; 2 turns around/,
    );
    expect(p.text()).to.match(/For 24 plants like this one, with spare: 2.0 mm aluminium \d+\.\d m, \d+ g/);
    expect(p.text(), 'at the point of work').to.contain('Wire ends spring back');
    expect(p.queryByRole('button', { name: 'Wire what is to be a branch' })).to.equal(null);
  });

  it('a piece that goes on to another part is chosen, and taken away with that part', async () => {
    const p = await page(bench());
    await p.user.click(await p.findByRole('button', { name: 'Wire what is to be a branch' }));
    await p.user.selectOptions(p.getByLabelText('What anchors wire 1'), 'b');
    expect(wireLines(p)[0]).to.contain('the same piece goes on to b');
    await p.user.click(p.getByRole('button', { name: 'b branch' }));
    await p.user.click(p.getByRole('button', { name: 'Take it out' }));
    expect(wireLines(p)[0]).to.contain('2 turns around the stem');
    // undone, both stand as they did
    await p.user.click(p.getByRole('button', { name: 'Undo' }));
    expect(wireLines(p)[0]).to.contain('the same piece goes on to b');
    await p.user.click(p.getByRole('button', { name: 'Without wire 1' }));
    expect(wireLines(p)).to.deep.equal([]);
  });

  it('each wire is asked of its own stretch, and again only when that has changed', async () => {
    const p = await page(bench());
    await p.user.click(await p.findByRole('button', { name: 'Wire the stem' }));
    await p.findByText(/Bites by/);
    const asked = () => p.sent.filter((s) => s.path === '/calc/bites');
    expect(asked()).to.have.length(1);
    expect(asked()[0].body.stretches).to.deep.equal([{ id: 'stem', of: 1, share: 1 }]);
    await p.user.selectOptions(p.getByLabelText('Where wire 1 moves it'), 'left');
    expect(wireLines(p)[0]).to.contain('anticlockwise');
    expect(asked()).to.have.length(1);
    await p.user.click(p.getByRole('button', { name: 'a branch' }));
    await p.user.click(p.getByRole('button', { name: 'Wire a' }));
    await p.until(() => expect(asked()).to.have.length(2));
    expect((asked()[1].body.stretches as { id: string }[]).map((s) => s.id)).to.deep.equal(['stem', 'a']);
  });

  it('a drawing of before wires were asked stands as it was kept', async () => {
    const old = row();
    delete (old.decided as Partial<StemRecordRow['decided']>).wires;
    for (const q of old.record.parts) delete q.long;
    const p = await page(bench({ records: [old] }));
    await p.findByRole('button', { name: 'Kept' });
    expect(p.queryByText('not kept yet')).to.equal(null);
  });

  it('what was left on the bench before wires were asked is gone on with', async () => {
    const { wires: _, ...decided } = row().decided;
    const draft = { of: '', label: 'begun', sheet: { record: row().record, decided } };
    const p = await page(bench({ records: [] }), {}, { [`draft stem ${ID(1)}`]: draft });
    await p.findByText('not kept yet');
    await p.user.click(p.getByRole('button', { name: 'Wire what is to be a branch' }));
    await p.findByText(/Bites by/);
  });

  it('what it left the last time stands above it, and what the kind has shown of wire below', async () => {
    const left = { on: '2036-03-01', lines: ['branch at 300 mm: one of a whorl'] };
    const p = await page(bench({ left, held: { off: 12, kept: 9, days: 96 } }));
    await p.findByText(/Left 1 Mar 2036/);
    expect(p.text()).to.contain('branch at 300 mm: one of a whorl');
    expect(p.text()).to.contain(
      'Of 12 wires that came off this kind, 9 kept what they held; they were on 96 days',
    );
  });

  it('a shoot that bears it can be wired up into the line instead of waited for', async () => {
    const p = await page(bench());
    await p.findByRole('region', { name: 'Where to cut' });
    const [bend] = await p.findAllByRole('button', { name: /^Wire it up/ });
    const id = bend.textContent.slice(-1);
    await p.user.click(bend);
    expect(wireLines(p)[0]).to.match(new RegExp(`^${id}: `));
    expect((p.getByLabelText('Where wire 1 moves it') as HTMLSelectElement).value).to.equal('up');
  });

  it('the work is recorded once the drawing is kept: what the cut takes, what is left, the wires with their days', async () => {
    const wires = [
      { part: 'a', to: null, metal: 'aluminium' as const, gauge: null, moves: 'down' as const, with: null },
    ];
    const kept = row({ decided: { finished: 400, style: 'usual', way: null, cutAt: 200, wires } });
    const course = {
      steps: [
        {
          ...bench().step,
          lane: 'top',
          part: 0,
          about: null,
          container: null,
          minutes: 60,
          rootCut: null,
          topCut: null,
          odds: null,
        },
      ],
    };
    const p = await page(bench({ records: [kept] }), {
      [`/cohorts/${ID(1)}/course`]: course,
      'POST /records': { recordId: 'r', live: 24, pending: 0, moved: [] },
    });
    await p.findByText(/Bites by 18 Jul/);
    await p.user.click(p.getByRole('button', { name: 'Record ‘Chop’' }));
    const took = (await p.findByLabelText('Crown taken')) as HTMLInputElement;
    expect(Number(took.value)).to.be.within(1, 99);
    await p.findByText('Wire that goes on');
    await p.user.click(p.getByRole('button', { name: 'Record' }));
    await p.until(() => expect(p.sent.some((s) => s.path === '/records')).to.equal(true));
    const { details, stepKey, on } = p.sent.find((s) => s.path === '/records')!.body as {
      details: Record<string, { took: number; drawnId: string; on: object[] }>;
      stepKey: string;
      on: string;
    };
    expect({ stepKey, on }).to.deep.equal({ stepKey: 'chop#1', on: TODAY });
    expect(details.stem).to.deep.include({ drawnId: ID(31), took: Number(took.value) / 100 });
    expect(details.fittings.on).to.have.length(1);
    expect(details.fittings.on[0]).to.deep.include({
      what: 'wire',
      note: '2 mm aluminium, branch at 120 mm, E, 6 mm',
      due: '2037-07-18',
    });
  });

  it('figures that cannot be of a stem are told, and nothing is worked out of them', async () => {
    const p = await page(bench());
    const height = await p.findByLabelText('Height');
    await p.user.clear(height);
    await p.user.type(height, '200');
    await p.findByText(/is above the tip, 200 mm/);
    expect(p.queryByRole('region', { name: 'Wire' })).to.equal(null);
  });
});
