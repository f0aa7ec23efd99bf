import '../window';
import { expect } from 'chai';
import { Outlet } from 'react-router';
import type { RootBench, RootRecordRow } from '@gonimos/contract/root-records';
import { RootsPart } from '../../src/roots/bench';
import { NOTHING_DECIDED } from '@gonimos/contract/roots-decided';
import { rootBench as bench, rootOf, rootRow as row } from '../benches';
import { cohortOf } from '../cohort';
import { ID, shown, within } from '../page';

const cohort = cohortOf({ live: 24 });
const WithCohort = () => <Outlet context={cohort} />;
const page = (data: RootBench, answers: object = {}, kept: Record<string, unknown> = {}) =>
  shown(<WithCohort />, {
    kept,
    inside: <RootsPart />,
    answers: { [`/cohorts/${ID(1)}/roots`]: data, [`/cohorts/${ID(1)}/pictures`]: [], ...answers },
  });
type Page = Awaited<ReturnType<typeof page>>;
const cuts = (p: Page) => within(p.getByRole('region', { name: 'Cuts' }));
/** What is cut, in the order of work, once the plan for what is drawn is there. */
async function plan(p: Page): Promise<string[]> {
  await p.until(() => expect(cuts(p).queryAllByRole('listitem').length).to.be.above(0));
  await p.until(() =>
    expect(p.getByRole('region', { name: 'Cuts' }).getAttribute('aria-busy')).to.equal('false'),
  );
  return cuts(p)
    .queryAllByText('Why, or otherwise')
    .map((s) => s.closest('li')!.querySelector('button')!.textContent);
}
const put = (p: Page) =>
  p.sent.find((s) => s.method === 'PUT')!.body as unknown as RootRecordRow & { version: number };
const keep = async (p: Page) => {
  await p.user.click(p.getByRole('button', { name: 'Keep the drawing' }));
  await p.until(() => expect(p.sent.some((s) => s.method === 'PUT')).to.equal(true));
  return put(p);
};
const kept = { [`PUT /root-records/${ID(41)}`]: { id: ID(41), version: 3 } };

describe('the root bench', () => {
  it('what strangles is cut first, each cut with where its points come from', async () => {
    const p = await page(bench());
    const [first] = await plan(p);
    expect(first).to.match(/^Remove the root at 30°, 5.mm/);
    const [why] = cuts(p).getAllByText('Why, or otherwise');
    await p.user.click(why);
    expect(why.closest('li')!.textContent).to.match(/Done so: .*Left as it is: /);
    expect(p.text()).to.contain('40 % may go at ‘Root work’, by its reserve then');
  });

  it('a thick root straight at the viewer goes or is turned once the front is decided, and not before', async () => {
    const p = await page(bench(), kept);
    await plan(p);
    const said = () => p.getByRole('region', { name: 'Cuts' }).textContent;
    expect(said()).not.to.contain('straight at the viewer');
    await p.user.click(p.getByText('The pot, and how it stands in it'));
    await p.user.click(p.getByRole('button', { name: 'It stands as it is drawn' }));
    await p.until(() => expect(said()).to.contain('straight at the viewer'));
    const d = cuts(p)
      .getAllByText('Why, or otherwise')
      .map((s) => s.closest('li')!)
      .find((li) => li.querySelector('button')!.textContent.includes('at 180°'))!;
    expect(d.textContent).to.contain('straight at the viewer');
    const { decided, version } = await keep(p);
    expect([decided.lean, version]).to.deep.equal([{ tilt: 0, towards: 0 }, 2]);
  });

  it('one’s own word goes before the plan, and a limit too low for it is said', async () => {
    const p = await page(bench());
    await plan(p);
    await p.user.click(cuts(p).getByText(/roots? left as they are/));
    await p.user.selectOptions(p.getByLabelText('Root d: what is done'), 'remove');
    await p.until(() =>
      expect(p.getByRole('region', { name: 'Cuts' }).textContent).to.contain('Remove the root at 180°'),
    );
    const low = bench({ limit: { share: 0.05, words: '5 % may go' } });
    const overruled = [{ root: 'd', action: 'remove' as const, length: null, turn: null }];
    const q = await page({ ...low, records: [row({ decided: { ...NOTHING_DECIDED, overruled } })] });
    await q.findByText(/What you have decided costs more than may go/);
  });

  it('how it was decided to stand at its stem is taken: roots are seen against the new level', async () => {
    const stance = {
      label: 'no. 7',
      bench: 'stem' as const,
      on: '2037-03-08',
      front: 90,
      tilt: 10,
      towards: 0,
      aside: 15,
      behind: 0,
    };
    const p = await page(bench({ stances: [stance] }), kept);
    await p.findByText(/Decided at its stem, 8 Mar:/);
    await p.user.click(p.getByRole('button', { name: 'Stand it so' }));
    expect(p.queryByText(/Decided at its stem/)).to.equal(null);
    const { record, decided } = await keep(p);
    const angle = (id: string) => record.roots.find((r) => r.id === id)!.angle;
    const height = (id: string) => record.roots.find((r) => r.id === id)!.height;
    // it leans to the north: there roots go down by ten degrees more, to the south by as many less
    expect([angle('a'), angle('d')]).to.deep.equal([15, -5]);
    // the edge of a trunk 30 mm thick comes down by 15 · sin 10°
    expect([height('a'), height('d')]).to.deep.equal([-2.6, 2.6]);
    expect([record.front, decided.aside, decided.lean]).to.deep.equal([90, 15, { tilt: 10, towards: 0 }]);
  });

  it('a drawing of before it was asked how a plant stands is kept as it is', async () => {
    const old = row();
    const { lean: _, ...decided } = NOTHING_DECIDED;
    const p = await page(bench({ records: [{ ...old, decided: decided as typeof NOTHING_DECIDED }] }));
    await p.findByRole('button', { name: 'Kept' });
    expect(p.queryByText('not kept yet')).to.equal(null);
  });

  it('a new drawing stands as the one before, and nothing else of it is decided', async () => {
    const overruled = [{ root: 'd', action: 'keep' as const, length: null, turn: null }];
    const decided = { ...NOTHING_DECIDED, overruled, lean: { tilt: 4, towards: 90 }, aside: 12 };
    const p = await page(bench({ records: [row({ decided })] }), {
      'POST /root-records': { id: ID(42) },
    });
    await p.user.click(await p.findByRole('button', { name: 'New drawing' }));
    await p.user.click(p.getByRole('button', { name: 'Keep the drawing' }));
    await p.until(() => expect(p.sent.some((s) => s.path === '/root-records')).to.equal(true));
    const sent = p.sent.find((s) => s.path === '/root-records')!.body as unknown as RootRecordRow;
    expect(sent.decided).to.deep.equal({ ...NOTHING_DECIDED, lean: { tilt: 4, towards: 90 }, aside: 12 });
  });

  it('figures are typed, with what is wrong, and undone; a front typed digit by digit stays under the hand', async () => {
    const p = await page(bench());
    await plan(p);
    await p.user.click(p.getByText(/^The plant: trunk/));
    const front = p.getByLabelText(/^Front looks to/);
    await p.user.clear(front);
    await p.user.type(front, '245');
    expect((front as HTMLInputElement).value).to.equal('245');
    await p.user.click(p.getByRole('button', { name: 'Undo' }));
    await p.until(() =>
      expect((p.getByLabelText(/^Front looks to/) as HTMLInputElement).value).to.equal('24'),
    );
  });

  it('roots from a list: what is no root is said by line, the rest is added', async () => {
    const p = await page(bench({ records: [] }));
    await p.user.click(await p.findByRole('button', { name: 'From a list' }));
    const lines = p.getByLabelText(/^Lines/);
    await p.user.type(lines, '12, 4, 55\n400, 3, 20');
    await p.findByText(/line 2: direction 400° is not 0 to 360/);
    expect((p.getByRole('button', { name: 'Add 1 root' }) as HTMLButtonElement).disabled).to.equal(true);
    await p.user.clear(lines);
    await p.user.type(lines, '12, 4, 55\n80, 3.5, 40, -2, 15');
    await p.user.click(p.getByRole('button', { name: 'Add 2 roots' }));
    await p.findByText('not kept yet');
  });

  it('the cohort: how many to look at, what was drawn by class, and classes told over the years', async () => {
    const classed = [
      { on: '2036-03-01', container: 'cell-60', A: 10, B: 12, C: 2 },
      { on: '2037-03-01', container: 'basket-18', A: 14, B: 10, C: 0 },
    ];
    const p = await page(bench({ classed }));
    const whole = within(await p.findByRole('region', { name: 'The whole cohort' }));
    const list = within(whole.getByRole('list', { name: 'Classes over the years' }));
    expect(list.getAllByRole('listitem').map((l) => l.textContent.replace(/\s+/g, ' '))).to.deep.equal([
      '1 Mar 2036A 10B 12C 2in air-pruning cell 5 cm (60); 2 of class C are for culling, or for growing on as stock',
      '1 MarA 14B 10in pond basket 18 cm',
    ]);
    const near = whole.getByLabelText(/^Know it to/);
    await p.user.clear(near);
    expect(whole.getByText('Give a number above 0.')).to.not.equal(null);
    await p.user.type(near, '10');
    expect(whole.getByText(/taken without choosing/).textContent).to.match(/^Look at \d+ of 24/);
  });

  it('the work is recorded with what went, what is left, and what holds the roots until it is looked at', async () => {
    const course = {
      steps: [
        {
          ...bench().step,
          operation: 'root-work',
          lane: 'roots',
          part: 0,
          about: null,
          container: 'basket-25',
          minutes: 60,
          rootCut: { take: 0.3, limit: 0.4 },
          topCut: null,
          odds: null,
          status: 'planned',
        },
      ],
    };
    const p = await page(bench(), {
      [`/cohorts/${ID(1)}/course`]: course,
      'POST /records': { recordId: 'r', live: 24, pending: 0, moved: [] },
    });
    await plan(p);
    await p.user.click(p.getByRole('button', { name: 'Record the work' }));
    const took = (await p.findByLabelText(/^Fine root (gone|taken)|Root taken/i)) as HTMLInputElement;
    expect(Number(took.value)).to.be.within(1, 40);
  });

  it('over a rock: how deep each stage uncovers, what lies bare and what waits, done and to come; recorded so', async () => {
    const steep = { angle: 60 };
    const roots = [
      rootOf('a', 0, 9, { ...steep, path: [{ azimuth: 0, out: 135 }] }),
      rootOf('b', 120, 9, { ...steep, path: [{ azimuth: 120, out: 135 }] }),
      rootOf('fine', 240, 3.4, { ...steep, path: [{ azimuth: 240, out: 145 }] }),
      rootOf('stub', 300, 8, { ...steep, path: [{ azimuth: 300, out: 55 }] }),
    ];
    const record = { ...row().record, roots, under: { kind: 'rock' as const, size: 120, depth: 0 } };
    const step = { ...bench().step!, key: 'expose-2', operation: 'expose-roots', title: 'The second third' };
    const p = await page(
      bench({
        records: [row({ record })],
        step,
        exposures: [
          { key: 'expose-1', title: 'The top third', opens: null, doneOn: '2036-03-20' },
          { key: 'expose-2', title: 'The second third', opens: '2037-03-01', doneOn: null },
        ],
      }),
      {
        [`/cohorts/${ID(1)}/course`]: {
          steps: [
            { ...step, lane: 'roots', part: 0, about: null, container: null, minutes: 60, rootCut: null },
          ],
        },
        'POST /records': { recordId: 'r', live: 24, pending: 0, moved: [] },
      },
    );
    const list = within(await p.findByRole('region', { name: 'Uncovering' }));
    expect(list.getAllByRole('listitem').map((l) => l.textContent)).to.deep.equal([
      'The top thirddone 20 Mar 2036down to 35 mm; bare a, b · fine too thin yet: wrapped · stub ends above it: led down anew',
      'The second thirdfrom 1 Mardown to 69 mm; bare a, b · fine too thin yet: wrapped · stub ends above it: led down anew',
    ]);
    await p.user.click(p.getByRole('button', { name: 'Record the work' }));
    await p.user.click(await p.findByRole('button', { name: 'Record' }));
    await p.until(() => expect(p.sent.some((s) => s.path === '/records')).to.equal(true));
    const { details, stepKey } = p.sent.find((s) => s.path === '/records')!.body as {
      stepKey: string;
      details: { roots: { took: number | null; left: string[]; drawnId: string } };
    };
    expect(stepKey).to.equal('expose-2');
    expect(details.roots).to.deep.include({
      took: null,
      drawnId: ID(41),
      left: [
        'root fine: too thin to lie bare at 69 mm, wrapped',
        'root stub: ends above 69 mm, led down anew',
      ],
    });
  });

  it('on the level there is nothing to uncover', async () => {
    const p = await page(bench());
    await plan(p);
    expect(p.queryByRole('region', { name: 'Uncovering' })).to.equal(null);
  });
});
