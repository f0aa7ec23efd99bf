import '../window';
import { expect } from 'chai';
import { Outlet } from 'react-router';
import { BendsPart } from '../../src/bends/bends';
import { partOf, stemBench, stemRow } from '../benches';
import { cohortOf } from '../cohort';
import { ID, shown, within } from '../page';

const cohort = cohortOf({ live: 6, startedFrom: '2035-03-01' });
const WithCohort = () => <Outlet context={cohort} />;
/** Thin young stems, whose low buds were drawn on two of them. */
const page = (more: object = {}) =>
  shown(<WithCohort />, {
    inside: <BendsPart />,
    answers: {
      [`/cohorts/${ID(1)}/stem`]: stemBench({
        start: { ...stemBench().start, caliper: 6, height: 400 },
        records: [],
        ...more,
      }),
    },
  });
type Page = Awaited<ReturnType<typeof page>>;
const cards = (p: Page) => p.queryAllByRole('article', { name: /^Plant \d+/ });
const lines = (p: Page) => cards(p).map((c) => c.querySelector('polyline')!.getAttribute('points'));
/** The cards, once their lines are worked out. */
const worked = async (p: Page, n: number) => {
  await p.findByText(new RegExp(`^${n} lines?$`));
  return p.until(() => expect(cards(p).length).to.be.above(0));
};

describe('bend recipes', () => {
  it('a line for each plant, no two alike, with the wire of all of them and what to mind', async () => {
    const p = await page();
    await worked(p, 6);
    expect(cards(p)).to.have.length(6);
    expect(new Set(lines(p)).size).to.equal(6);
    expect(p.text()).to.match(/6 lines, [\d.]+ m of 2\.0 mm aluminium wire with spare, [\d.]+ k?g\./);
    expect(p.text()).to.contain('mind the eyes');
    const first = within(cards(p)[0]);
    expect(first.getByRole('heading').textContent).to.match(/^No\. 1/);
    expect(first.getAllByRole('listitem').length).to.be.above(1);
  });

  it('other lines are other ones, and as many as are asked for', async () => {
    const p = await page();
    await worked(p, 6);
    const before = lines(p);
    await p.user.click(p.getByRole('button', { name: 'Other lines' }));
    await p.until(() => {
      expect(cards(p)).to.have.length(6);
      expect(lines(p).filter((l) => before.includes(l))).to.deep.equal([]);
    });
    const plants = p.getByLabelText('Plants');
    await p.user.clear(plants);
    await p.user.type(plants, '14');
    await worked(p, 14);
    expect(cards(p)).to.have.length(12);
    await p.user.click(p.getByRole('button', { name: 'Show all 14' }));
    expect(cards(p)).to.have.length(14);
  });

  it('what cannot be bent is told by its figure, and what was typed stays', async () => {
    const p = await page();
    await worked(p, 6);
    const base = p.getByLabelText(/^At the base/);
    await p.user.clear(base);
    await p.user.type(base, '90');
    expect(p.getByRole('alert').textContent).to.equal('A base is 1 mm to 40 mm to be bent.');
    expect((base as HTMLInputElement).value).to.equal('90');
    await p.user.clear(base);
    await p.user.type(base, '6');
    expect(p.queryByRole('alert')).to.equal(null);
    const plants = p.getByLabelText('Plants');
    await p.user.clear(plants);
    await p.user.type(plants, '900');
    expect(p.getByRole('alert').textContent).to.equal('Plants are 1 to 200.');
  });

  it('only lines that have a share are used; none has, it is said', async () => {
    const p = await page();
    await worked(p, 6);
    const shares = p.getAllByLabelText(/./, { selector: 'input' }).slice(4);
    for (const s of shares) {
      await p.user.clear(s);
      await p.user.type(s, '0');
    }
    expect(p.getByRole('alert').textContent).to.equal('At least one line has a share.');
    const [first] = shares;
    const name = first.closest('label, div')!.textContent;
    await p.user.clear(first);
    await p.user.type(first, '10');
    await worked(p, 6);
    const styles = cards(p).map((c) => c.querySelector('h3 span')!.textContent);
    expect(new Set(styles).size).to.equal(1);
    expect(name).to.contain(styles[0]);
  });

  it('the lowest living buds that were drawn say how high a tree can be finished', async () => {
    const p = await page({
      records: [
        stemRow({
          record: {
            base: 6,
            height: 400,
            front: 180,
            girths: [],
            parts: [
              partOf('a', 60, 0, 2),
              partOf('b', 30, 90, 0, { kind: 'bud' }),
              partOf('s', 10, 0, 3, { kind: 'stub' }),
            ],
          },
        }),
      ],
    });
    await p.findByText(
      /lowest living buds that were drawn stand at 30 mm: finished heights of 90 mm and above/,
    );
  });
});
