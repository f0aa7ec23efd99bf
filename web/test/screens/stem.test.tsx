import '../window';
import { expect } from 'chai';
import type { StemRecordRow } from '@gonimos/contract/stem-records';
import { NOTHING_DECIDED } from '@gonimos/contract/stem-decided';
import { partOf, stemBench as bench, stemRow as row } from '../benches';
import { ID, TODAY, within } from '../page';
import { stemPage as page, type StemPage as Page } from '../stem-page';

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
    const kept = row({ decided: { ...NOTHING_DECIDED, finished: 400, cutAt: 200, wires } });
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

  it('a tourniquet and a cage go around the base, are drawn, bite by what they sit on, and go on with the work', async () => {
    const kept = row({
      decided: {
        ...NOTHING_DECIDED,
        finished: 400,
        bands: [{ what: 'tourniquet', at: 12, metal: 'copper' }],
      },
    });
    const course = { steps: [{ ...bench().step, lane: 'top', part: 0, about: null, minutes: 60 }] };
    const p = await page(bench({ records: [kept] }), {
      [`/cohorts/${ID(1)}/course`]: course,
      'POST /records': { recordId: 'r', live: 24, pending: 0, moved: [] },
    });
    const around = within(await p.findByRole('group', { name: 'Around the base' }));
    await around.findByText(/Bites by 18 Jul/);
    expect(around.getByRole('listitem', { name: 'tourniquet' }).textContent).to.match(
      /^tourniquet at 12 mm, 2 turns 3\.0 mm copper, \d+ mm\. Bites by/,
    );
    expect(around.queryByRole('button', { name: 'Tourniquet at the base' })).to.equal(null);
    await p.user.click(p.getByRole('button', { name: 'Record ‘Chop’' }));
    await p.user.click(await p.findByRole('button', { name: 'Record' }));
    await p.until(() => expect(p.sent.some((x) => x.path === '/records')).to.equal(true));
    const { details } = p.sent.find((x) => x.path === '/records')!.body as {
      details: { fittings: { on: object[] } };
    };
    expect(details.fittings.on).to.have.length(1);
    expect(details.fittings.on[0]).to.deep.include({
      what: 'tourniquet',
      note: '3 mm copper, at 12 mm, 2 turns',
      due: '2037-07-18',
    });
  });

  it('a cage is set to a height; nonsense leaves what stood; taken away it is no more', async () => {
    const p = await page(bench());
    const around = within(await p.findByRole('group', { name: 'Around the base' }));
    await p.user.click(around.getByRole('button', { name: 'Cage wire round the base' }));
    const top = around.getByLabelText(/^Top of cage wire/);
    expect((top as HTMLInputElement).value).to.equal('75');
    await p.user.clear(top);
    await p.user.type(top, '90');
    expect(around.getByRole('listitem').textContent).to.contain('from the soil to 90 mm');
    await p.user.clear(top);
    await p.user.type(top, '5000');
    // 5, 50 and 500 are heights of this stem, 5000 is none
    expect(around.getByRole('listitem').textContent).to.contain('from the soil to 500 mm');
    await p.user.selectOptions(around.getByLabelText('Metal of cage wire'), 'stainless');
    expect(p.text()).to.match(/For 24 plants like this one, with spare: 2\.0 mm stainless \d+/);
    await p.user.click(around.getByRole('button', { name: 'Without cage wire' }));
    expect(around.queryAllByRole('listitem')).to.deep.equal([]);
  });

  it('choosing among shoots leaves the rest for a season: the day stands on the sheet, and the step stays open', async () => {
    const shoots = [
      partOf('l', 195, 90, 3, { kind: 'shoot', rise: 60 }),
      partOf('r', 180, 270, 2.5, { kind: 'shoot' }),
      partOf('x', 185, 100, 2, { kind: 'shoot' }),
    ];
    const step = { ...bench().step!, key: 'chop.shoot-choice', operation: 'shoot-choice', title: 'Choose' };
    const kept = row({
      record: { base: 30, height: 300, front: 180, girths: [], parts: shoots },
      decided: { ...NOTHING_DECIDED, finished: 400, cutAt: 200 },
    });
    const course = { steps: [{ ...step, lane: 'top', part: 0, about: null, minutes: 60 }] };
    const p = await page(bench({ records: [kept], step }), {
      [`/cohorts/${ID(1)}/course`]: course,
      'POST /records': { recordId: 'r', live: 24, pending: 0, moved: [] },
    });
    await p.user.click(await p.findByRole('button', { name: 'Record ‘Choose’' }));
    await p.findByText('the step comes back then');
    await p.user.click(p.getByRole('button', { name: 'Record' }));
    await p.until(() => expect(p.sent.some((x) => x.path === '/records')).to.equal(true));
    const sent = p.sent.find((x) => x.path === '/records')!.body as {
      finished: boolean;
      details: { stem: { left: string[]; until: string } };
    };
    expect(sent.finished).to.equal(false);
    expect(sent.details.stem.left[0]).to.match(
      /^shoot at 185 mm, E, 2 mm: off when the leader is [\d.]+ mm$/,
    );
    expect(sent.details.stem.until).to.equal('2038-02-07');
  });

  it('a lesser stem that is to lead: when it can take over, or how much above it is too much', async () => {
    const p = await page(bench());
    const lead = async (id: string) => {
      await p.user.click(await p.findByRole('button', { name: `${id} branch` }));
      await p.user.selectOptions(p.getByLabelText('It is to be'), 'leader');
      return p.getByRole('region', { name: `Part ${id}` }).textContent;
    };
    // a is 6 mm where the stem is 26: much would have to go
    expect(await lead('a')).to.match(
      /It does not take over while all above it stays: \d+ % of what stands above/,
    );
    await p.user.click(p.getByRole('button', { name: 'Undo' }));
    const thick = p.getByLabelText(/^Thick/);
    await p.user.clear(thick);
    await p.user.type(thick, '15');
    expect(await lead('a')).to.match(/It can take over now: 15 mm of 26 mm there/);
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
