import '../window';
import { expect } from 'chai';
import { Outlet } from 'react-router';
import type { GroupTold } from '@gonimos/contract/fusing';
import { FusePart } from '../../src/fusing/fuse';
import { NOTHING_DECIDED } from '@gonimos/contract/stem-decided';
import { partOf, rootBench, stemBench, stemRow } from '../benches';
import { cohortOf, cohortRow } from '../cohort';
import { ID, shown, within } from '../page';

const cohort = cohortOf({ live: 24 });
const WithCohort = () => <Outlet context={cohort} />;
/** A step of the course that sets stems together. */
const step = (more: object = {}) => ({
  key: 'fuse#1',
  title: 'Choose and place the stems',
  operation: 'fuse',
  lane: 'roots',
  status: 'planned',
  ready: true,
  part: 0,
  about: null,
  container: 'basket-18',
  minutes: 60,
  rootCut: null,
  topCut: null,
  odds: null,
  opens: '2037-02-20',
  closes: '2037-03-30',
  ...more,
});

/** A drawn tree, and whips out of another cohort that nobody drew. */
const page = (answers: object = {}) =>
  shown(<WithCohort />, {
    inside: <FusePart />,
    answers: {
      [`/cohorts/${ID(1)}/groups`]: {
        groups: [],
        results: [
          { method: 'bound', made: 0, joined: 0, failed: 0 },
          { method: 'overlapped', made: 0, joined: 0, failed: 0 },
        ],
      },
      '/cohorts': [
        cohortRow(),
        cohortRow({ id: ID(2), code: 'AC-36', live: 40 }),
        cohortRow({ id: ID(3), code: 'SP-33', taxonId: 'pinus-sylvestris' }),
        cohortRow({ id: ID(4), code: 'AC-20', live: 0 }),
      ],
      [`/cohorts/${ID(1)}/roots`]: rootBench(),
      [`/cohorts/${ID(1)}/stem`]: stemBench({
        records: [
          stemRow({
            record: {
              base: 30,
              height: 900,
              front: 180,
              girths: [
                { at: 90, mm: 22 },
                { at: 160, mm: 26 },
              ],
              parts: [partOf('a', 135, 90, 6)],
            },
            decided: { ...NOTHING_DECIDED, finished: 400 },
          }),
        ],
      }),
      [`/cohorts/${ID(2)}/roots`]: rootBench({ records: [] }),
      [`/cohorts/${ID(2)}/stem`]: stemBench({
        records: [],
        start: { ...stemBench().start, caliper: 7, height: 380 },
      }),
      [`/cohorts/${ID(1)}/course`]: { steps: [] },
      'POST /records': { recordId: 'r', live: 23, pending: 0, moved: [] },
      ...answers,
    },
  });
type Page = Awaited<ReturnType<typeof page>>;
const slot = (p: Page, name: string) => within(p.getByRole('group', { name: `Stem ${name}` }));
const told = (p: Page) => {
  const { body } = p.sent.find((s) => s.path === '/records')!;
  return body as {
    stepKey: string | null;
    done: number | null;
    finished: boolean;
    details: { group: GroupTold };
  };
};
/** The tree is stem a, as it was drawn; stem b is a whip. */
async function treeAndWhip(p: Page): Promise<void> {
  await p.findByRole('group', { name: 'Stem b' });
  await p.until(() => expect(slot(p, 'a').getByLabelText('Drawn roots').children.length).to.equal(2));
  await p.user.selectOptions(slot(p, 'a').getByLabelText('Drawn roots'), ID(41));
  await p.user.selectOptions(slot(p, 'b').getByLabelText('Out of'), ID(2));
  await p.findByText(/Stem b is thin against a/);
}

describe('setting stems together', () => {
  it('only living stems of the kind are offered; two of one cohort are turned and placed, and told', async () => {
    const p = await page();
    await p.findByRole('region', { name: 'How they stand' });
    const offered = within(slot(p, 'a').getByLabelText('Out of')).getAllByRole('option');
    expect(offered.map((o) => o.textContent)).to.deep.equal(['AC-35', 'AC-36']);
    await p.user.type(p.getByLabelText('Note'), 'a twin, low');
    await p.user.click(p.getByRole('button', { name: 'Set together: 2 stems become one plant' }));
    await p.until(() => expect(p.sent.some((s) => s.path === '/records')).to.equal(true));
    const { stepKey, details } = told(p);
    expect([stepKey, details.group.join, details.group.method]).to.deep.equal([null, null, 'bound']);
    expect(details.group.members.map((m) => m.cohortId)).to.deep.equal([ID(1), ID(1)]);
    expect(details.group.stood.map((s) => s.place).toSorted((a, b) => a - b)).to.deep.equal([0, 1]);
  });

  it('a whip may be joined where the tree lacks something: a root, its line, a branch, each with what suits', async () => {
    const p = await page();
    await treeAndWhip(p);
    const spots = within(p.getByRole('group', { name: /Stem b is thin/ }));
    const words = spots.getAllByRole('radio').map((r) => r.closest('label')!.textContent);
    expect(words[0]).to.equal('both to one base');
    expect(words.some((w) => w.includes('the trunk is 4 mm thinner than higher up'))).to.equal(true);
    expect(words.filter((w) => w.includes('a branch is missing')).length).to.be.above(0);
    await p.user.click(spots.getByRole('radio', { name: /the trunk is 4 mm thinner/ }));
    expect(spots.getByRole('img').getAttribute('aria-label')).to.equal('A thin stem joined at 90 mm');
    await p.user.click(p.getByRole('button', { name: 'Set together: the thin stem is part of the tree' }));
    await p.until(() => expect(p.sent.some((s) => s.path === '/records')).to.equal(true));
    const { group } = told(p).details;
    expect(group.join).to.deep.include({ lacks: 'line', height: 90 });
    expect(group.stood[0]).to.deep.equal({ id: 'a', place: 0, turn: 0 });
    expect(group.members[1]).to.include({ cohortId: ID(2), base: 7, height: 380 });
  });

  it('a spot out of reach cannot be chosen, one too thick for it is said; not thin, there is none to choose', async () => {
    const p = await page();
    await treeAndWhip(p);
    const base = slot(p, 'b').getByLabelText('Base');
    await p.user.clear(base);
    await p.user.type(base, '16');
    const height = slot(p, 'b').getByLabelText('Height');
    await p.user.clear(height);
    await p.user.type(height, '2000');
    await p.findAllByText(/too thick for it/);
    await p.user.clear(height);
    await p.user.type(height, '100');
    await p.until(() => {
      const radios = p.getAllByRole('radio').filter((r) => (r as HTMLInputElement).disabled);
      expect(radios.length).to.be.above(0);
    });
    await p.user.clear(base);
    await p.user.type(base, '25');
    await p.until(() => expect(p.queryByText(/is thin against/)).to.equal(null));
  });

  it('where the course has the step open it is recorded with it, a plant at a time', async () => {
    const p = await page({ [`/cohorts/${ID(1)}/course`]: { steps: [step()] } });
    await p.user.click(
      await p.findByRole('button', { name: 'Record ‘Choose and place the stems’: 2 stems become one plant' }),
    );
    await p.findByText(/the ledger counts them as one from then on/);
    await p.user.click(p.getByRole('button', { name: 'Record' }));
    await p.until(() => expect(p.sent.some((s) => s.path === '/records')).to.equal(true));
    const { stepKey, done, finished, details } = told(p);
    expect({ stepKey, done, finished }).to.deep.equal({ stepKey: 'fuse#1', done: 1, finished: false });
    expect(details.group.members).to.have.length(2);
  });

  it('a step for a thin stem is no step for a group, and one that is not open is none', async () => {
    const steps = [step({ key: 'join#1', operation: 'join-stem', title: 'Join' }), step({ ready: false })];
    const p = await page({ [`/cohorts/${ID(1)}/course`]: { steps } });
    await p.findByRole('button', { name: /^Set together: 2 stems/ });
    await treeAndWhip(p);
    const spots = within(p.getByRole('group', { name: /Stem b is thin/ }));
    await p.user.click(spots.getByRole('radio', { name: /the trunk is 4 mm thinner/ }));
    await p.findByRole('button', { name: 'Record ‘Join’: the thin stem is part of the tree' });
  });
});
