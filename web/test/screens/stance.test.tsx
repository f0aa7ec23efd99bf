import '../window';
import { expect } from 'chai';
import type { StemRecordRow } from '@gonimos/contract/stem-records';
import { PARTS, stemBench as bench } from '../benches';
import { ID, within } from '../page';
import { stemPage as page, type StemPage as Page } from '../stem-page';
import { randomRecord } from '../../../core/test/roots/random-record';

describe('how a plant stands, at its stem', () => {
  const fronts = (p: Page) =>
    within(p.getByRole('region', { name: 'Fronts' }))
      .getAllByRole('img')
      .map((i) => i.getAttribute('aria-label'));
  const elsewhere = {
    label: 'no. 7',
    bench: 'roots' as const,
    on: '2037-03-05',
    front: 240,
    tilt: 6,
    towards: 90,
    aside: 20,
    behind: -10,
  };
  const keep = async (p: Page) => {
    await p.user.click(p.getByRole('button', { name: 'Keep the drawing' }));
    await p.until(() => expect(p.sent.some((x) => x.method === 'PUT')).to.equal(true));
    return p.sent.find((x) => x.method === 'PUT')!.body as unknown as StemRecordRow;
  };
  const kept = { [`PUT /stem-records/${ID(31)}`]: { id: ID(31), version: 3 } };

  it('fronts are looked at side by side; one is taken, another left open, and both are kept', async () => {
    const p = await page(bench(), kept);
    await p.findByRole('region', { name: 'Fronts' });
    const [own, ...others] = fronts(p);
    expect(own).to.equal('Seen from 180°');
    expect(others.length).to.be.within(1, 3);
    await p.user.click(p.getAllByRole('button', { name: /^Leave it open/ })[0]);
    const front = Number(/\d+/.exec(others[1] ?? others[0]!)![0]);
    await p.user.click(p.getByRole('button', { name: new RegExp(`^Make it the front, ?${front}°`) }));
    expect(fronts(p)[0]).to.equal(`Seen from ${front}°`);
    expect(p.text()).to.contain(`It stands so: front ${front}°`).and.contain('upright; in the middle');
    const { record, decided } = await keep(p);
    expect(record.front).to.equal(front);
    expect(decided.lean).to.deep.equal({ tilt: 0, towards: 0 });
    expect(decided.fronts).to.deep.equal(others.length > 1 ? [Number(/\d+/.exec(others[0]!)![0])] : []);
  });

  it('what was decided at its roots is said, and taken by one tap, and taken back by another', async () => {
    const p = await page(bench({ stances: [elsewhere] }), kept);
    await p.findByText(/Decided at its roots, 5 Mar:/);
    expect(p.text()).to.contain(
      'front 240°, SW; leaning 6° to the E; 20 mm to the right and 10 mm to the front. Drawn here: front 180°, S; upright',
    );
    await p.user.click(p.getByRole('button', { name: 'Stand it so' }));
    expect(p.queryByText(/Decided at its roots/)).to.equal(null);
    expect((p.getByLabelText(/^Leans by/) as HTMLInputElement).value).to.equal('6');
    expect((p.getByLabelText(/^Front ?°?/, { selector: 'input' }) as HTMLInputElement).value).to.equal('240');
    await p.user.click(p.getByRole('button', { name: 'Undo' }));
    await p.findByText(/Decided at its roots/);
    expect((p.getByLabelText(/^Leans by/) as HTMLInputElement).value).to.equal('0');
    await p.user.click(p.getByRole('button', { name: 'Stand it so' }));
    const { record, decided } = await keep(p);
    expect([record.front, decided.lean, decided.aside, decided.behind]).to.deep.equal([
      240,
      { tilt: 6, towards: 90 },
      20,
      -10,
    ]);
  });

  it('another plant of the cohort, or one that stands so already, is no word about this one', async () => {
    const other = { ...elsewhere, label: 'no. 8' };
    const same = { ...elsewhere, front: 180.4, tilt: 0, towards: 200, aside: 0, behind: 0.5 };
    for (const stance of [other, same]) {
      const p = await page(bench({ stances: [stance] }));
      await p.findByRole('region', { name: 'Fronts' });
      expect(p.queryByRole('button', { name: 'Stand it so' })).to.equal(null);
    }
  });

  it('a lean is typed; nonsense leaves what was decided; it can be undecided again', async () => {
    const p = await page(bench(), kept);
    const leans = await p.findByLabelText(/^Leans by/);
    expect(p.text()).to.contain('Not decided: root cuts favour no side.');
    await p.user.clear(leans);
    await p.user.type(leans, '8');
    await p.user.clear(p.getByLabelText(/^Leans to/));
    await p.user.type(p.getByLabelText(/^Leans to/), '270');
    expect(p.text()).to.contain('front 180°, S; leaning 8° to the W; in the middle');
    await p.user.type(leans, '8');
    expect(p.text(), '88° is laid down').to.contain('leaning 8° to the W');
    await p.user.click(p.getByRole('button', { name: 'Not decided yet' }));
    await p.user.click(p.getByRole('button', { name: 'It stands as it is drawn' }));
    expect(p.text()).to.contain('It stands so: front 180°, S; upright; in the middle');
  });

  it('roots that were drawn of the plant speak with its branches, and are drawn with them', async () => {
    const roots = [
      { label: 'no. 7', on: '2037-02-01', record: randomRecord(7, 6), lean: { tilt: 5, towards: 0 } },
      { label: 'no. 9', on: '2037-02-01', record: randomRecord(9, 3), lean: null },
    ];
    const p = await page(bench({ roots }));
    await p.findByText(/Branches and roots speak together/);
    const view = within(p.getByRole('region', { name: 'Fronts' })).getAllByRole('img')[0];
    expect(view.querySelectorAll('path[stroke="var(--bark)"][stroke-linecap="round"]').length).to.equal(
      6 + PARTS.length,
    );
  });
});
