import '../window';
import { expect } from 'chai';
import type { PlantGroup, PlantGroups } from '@gonimos/contract/fusing';
import { Groups } from '../../src/fusing/groups';
import { ID, Refused, shown, TODAY } from '../page';

const member = (id: string, base: number): PlantGroup['members'][number] => ({
  id,
  cohortId: ID(1),
  base,
  height: base * 40,
  curve: null,
  roots: [],
  branches: [],
});
const group = (n: number, more: Partial<PlantGroup> = {}): PlantGroup =>
  ({
    id: ID(n),
    madeOn: '2036-04-10',
    method: 'bound',
    members: [member('a', 9), member('b', 7)],
    stood: [
      { id: 'a', turn: 0, place: 0 },
      { id: 'b', turn: 90, place: 1 },
    ],
    joint: { seasons: { p10: 1.2, p50: 1.8, p90: 2.9 }, look: 6 },
    lookOn: '2037-05-20',
    outcome: null,
    lookedOn: null,
    note: '',
    version: 2,
    ...more,
  }) as unknown as PlantGroup;
const data = (groups: PlantGroup[]): PlantGroups => ({
  groups,
  results: [
    { method: 'bound', made: 4, joined: 3, failed: 1 },
    { method: 'overlapped', made: 0, joined: 0, failed: 0 },
  ],
});
const page = (groups: PlantGroup[], answers: Record<string, object> = {}) =>
  shown(<Groups data={data(groups)} today={TODAY} />, { answers });

describe('stems that were set together', () => {
  it('says when they are to be one and from when it is looked at, and which way of holding paid', async () => {
    const p = await page([group(1)]);
    expect(p.text()).to.contain('2 stems, bound, 10 Apr 2036');
    expect(p.text()).to.contain('One after 1.8 seasons of growth (1.2 to 2.9)');
    expect(p.text()).to.contain('looked at from 20 May');
    expect(p.text()).to.contain('bound: 4 in the nursery, 3 joined, 1 did not');
    expect(p.text(), 'a way nobody tried says nothing').not.to.contain('overlapped:');
  });

  it('a joint that still grows is looked at again in four weeks; what has joined is asked no more', async () => {
    const p = await page([group(1), group(2, { outcome: 'joined', lookedOn: '2037-01-02' })], {
      'POST /groups/look': data([]),
    });
    expect(p.getAllByRole('button', { name: 'Growing, not yet' })).to.have.length(1);
    expect(p.text()).to.contain('Joined, seen 2 Jan');
    await p.user.click(p.getByRole('button', { name: 'Growing, not yet' }));
    await p.until(() => expect(p.sent).to.have.length(1));
    expect(p.sent[0].body).to.deep.include({
      groupId: ID(1),
      version: 2,
      outcome: 'growing',
      again: '2037-04-06',
    });
    await p.user.click(p.getByRole('button', { name: 'Joined' }));
    await p.until(() => expect(p.sent).to.have.length(2));
    expect(p.sent[1].body).to.deep.include({ outcome: 'joined', again: null });
  });

  it('somebody looked meanwhile: it is told, and nothing is taken as said', async () => {
    const p = await page([group(1)], {
      'POST /groups/look': new Refused(409, 'It was looked at meanwhile.'),
    });
    await p.user.click(p.getByRole('button', { name: 'Did not join' }));
    await p.findByText('It was looked at meanwhile.');
    p.getByRole('button', { name: 'Did not join' });
  });

  it('of many the last few are shown, and all when asked; of none there is nothing', async () => {
    const p = await page([1, 2, 3, 4, 5, 6].map((n) => group(n, { note: `no. ${n}` })));
    expect(p.queryByText('no. 1')).to.equal(null);
    p.getByText('no. 6');
    await p.user.click(p.getByRole('button', { name: 'All 6' }));
    p.getByText('no. 1');
    const none = await page([]);
    expect(none.text()).to.equal('');
  });
});
