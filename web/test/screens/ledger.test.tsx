import '../window';
import { expect } from 'chai';
import { Outlet } from 'react-router';
import type { EntryRow } from '@gonimos/contract/ledger';
import { LedgerPart } from '../../src/ledger/ledger';
import { VisitSheet } from '../../src/visits/visit-sheet';
import { cohortOf, cohortRow } from '../cohort';
import { ID, Refused, shown, TODAY } from '../page';

let seq = 0;
const entry = (type: EntryRow['type'], count: number, more: Partial<EntryRow> = {}): EntryRow => ({
  id: ID(500 + seq),
  type,
  on: '2036-05-01',
  seq: seq++,
  count,
  into: null,
  unit: null,
  damageId: null,
  cause: null,
  note: '',
  reverses: null,
  reversedBy: null,
  recordId: null,
  transferId: null,
  by: 'Bo',
  at: '2036-05-01T10:00:00Z',
  liveAfter: 10,
  ...more,
});
const BROWSED = entry('lost', 3, { cause: 'eaten', liveAfter: 37 });
const ENTRIES = [
  entry('started', 50, { unit: 'seed', liveAfter: 0 }),
  entry('emerged', 40, { liveAfter: 40 }),
  BROWSED,
  entry('culled', 2, { cause: 'browsed', damageId: BROWSED.id, liveAfter: 35 }),
  entry('sold', 5, { reversedBy: ID(900), liveAfter: null }),
  entry('fused', 4, { into: 1, liveAfter: 32 }),
  entry('reversed', 5, { reverses: ID(504) }),
];
const DONE = { recordId: 'r', live: 30, pending: 0, moved: [] };
const cohort = cohortOf({ live: 32 });
const Within = () => <Outlet context={cohort} />;
const page = (answers: object = {}, more: object = {}) =>
  shown(<Within />, {
    inside: <LedgerPart />,
    answers: {
      [`/cohorts/${ID(1)}/ledger`]: ENTRIES,
      [`/cohorts/${ID(1)}/tallies`]: [],
      '/cohorts': [cohortRow({ live: 32 })],
      ...answers,
    },
    ...more,
  });
const rows = (p: { container: HTMLElement }) =>
  [...p.container.querySelectorAll('tbody tr')].map((r) =>
    [...r.querySelectorAll('td')].slice(0, 4).map((d) => d.textContent),
  );

describe('the ledger on its page', () => {
  it('tells what came, what left and what became of it; a reversal is no line, what it reversed stays', async () => {
    const p = await page();
    await p.findByText(/goes back to/);
    expect(rows(p).map(([, what, count, after]) => [what, count, after])).to.deep.equal([
      ['started as seed', '+50', '0'],
      ['emerged', '+40', '40'],
      ['lost, eaten', '−3', '37'],
      ['culled, browsed, goes back to eaten of 1 May 2036', '−2', '35'],
      ['soldreversed; both entries are kept', '−5', ''],
      ['fused', '4 → 1', '32'],
    ]);
  });

  it('an entry is reversed by a touch, once; a helper reverses none', async () => {
    const p = await page({ [`POST /ledger/${BROWSED.id}/reverse`]: DONE });
    await p.user.click(await p.findByRole('button', { name: /^Reverse ?lost 3/ }));
    await p.until(() => expect(p.sent.map((s) => s.path)).to.deep.equal([`/ledger/${BROWSED.id}/reverse`]));
    expect(p.queryByRole('button', { name: /^Reverse ?sold/ })).to.equal(null);
    const helper = await page({}, { role: 'helper' });
    await helper.findByText('emerged');
    expect(helper.queryByRole('button', { name: /^Reverse/ })).to.equal(null);
    expect(helper.queryByRole('button', { name: 'Split or promote' })).to.equal(null);
  });

  it('an entry by hand: a cause where one is asked, the damage a cull goes back to, none for a sale', async () => {
    const p = await page({ [`POST /cohorts/${ID(1)}/ledger`]: DONE });
    await p.user.click(await p.findByRole('button', { name: 'Add an entry' }));
    await p.user.selectOptions(p.getByLabelText('What'), 'culled');
    await p.user.type(p.getByLabelText('How many'), '4');
    await p.user.selectOptions(p.getByLabelText('Reason'), 'browsed');
    await p.user.selectOptions(p.getByLabelText('Goes back to'), BROWSED.id);
    await p.user.click(p.getByRole('button', { name: 'Add' }));
    await p.until(() => expect(p.sent).to.have.length(1));
    expect(p.sent[0].body).to.deep.include({
      type: 'culled',
      count: 4,
      cause: 'browsed',
      damageId: BROWSED.id,
      on: TODAY,
    });
    const sale = await page({ [`POST /cohorts/${ID(1)}/ledger`]: DONE });
    await sale.user.click(await sale.findByRole('button', { name: 'Add an entry' }));
    await sale.user.selectOptions(sale.getByLabelText('What'), 'sold');
    expect(sale.queryByLabelText('Cause')).to.equal(null);
    await sale.user.type(sale.getByLabelText('How many'), '2');
    await sale.user.click(sale.getByRole('button', { name: 'Add' }));
    await sale.until(() => expect(sale.sent).to.have.length(1));
    expect(sale.sent[0].body).to.deep.include({ type: 'sold', count: 2, cause: null, damageId: null });
  });

  it('more than there are is told at its input, and the sheet stays as it was', async () => {
    const no = new Refused(400, 'count is more than the 32 alive', [
      { field: 'count', reason: 'is more than the 32 alive' },
    ]);
    const p = await page({ [`POST /cohorts/${ID(1)}/ledger`]: no });
    await p.user.click(await p.findByRole('button', { name: 'Add an entry' }));
    await p.user.type(p.getByLabelText('How many'), '90');
    await p.user.click(p.getByRole('button', { name: 'Add' }));
    await p.findByText('How many is more than the 32 alive');
    expect((p.getByLabelText('How many') as HTMLInputElement).value).to.equal('90');
  });

  it('splitting off and promoting are two writes under ids of their own', async () => {
    const p = await page({
      [`POST /cohorts/${ID(1)}/split`]: DONE,
      [`POST /cohorts/${ID(1)}/promote`]: DONE,
    });
    await p.user.click(await p.findByRole('button', { name: 'Split or promote' }));
    expect((p.getByLabelText('New code') as HTMLInputElement).value).to.equal('AC-35B');
    await p.user.type(p.getByLabelText('How many'), '12');
    await p.user.click(p.getByRole('button', { name: 'Split off' }));
    await p.until(() => expect(p.sent).to.have.length(1));
    expect(p.sent[0].body).to.deep.include({ count: 12, newCode: 'AC-35B' });
    expect(p.sent[0].body.newId).to.match(/^[0-9a-f-]{36}$/);
    expect(p.sent[0].body.newId).not.to.equal(p.sent[0].body.id);
  });

  it('what was sent and met silence is sent again under the same id', async () => {
    let silent = true;
    const p = await page({
      [`POST /cohorts/${ID(1)}/ledger`]: () => {
        if (silent) throw new TypeError('no answer');
        return DONE;
      },
    });
    await p.user.click(await p.findByRole('button', { name: 'Add an entry' }));
    await p.user.type(p.getByLabelText('How many'), '1');
    await p.user.click(p.getByRole('button', { name: 'Add' }));
    await p.findByText(/No answer from the nursery/);
    silent = false;
    await p.user.click(p.getByRole('button', { name: 'Add' }));
    await p.until(() => expect(p.sent).to.have.length(2));
    expect(p.sent[1].body.id).to.equal(p.sent[0].body.id);
  });
});

describe('something found', () => {
  const about = { cohortId: ID(1), code: 'AC-35', live: 32, pending: 0 };
  const OUTCOME = {
    recordId: 'r',
    causes: [],
    checkOn: '2037-03-23',
    moved: [],
  };
  const sheet = (step: { key: string; title: string } | null, steps: { key: string; title: string }[] = []) =>
    shown(<VisitSheet cohort={about} step={step} steps={steps} today={TODAY} onClose={() => undefined} />, {
      answers: { 'POST /visits': OUTCOME, [`/cohorts/${ID(1)}/pictures`]: [] },
    });
  const choose = async (p: Awaited<ReturnType<typeof sheet>>, name: RegExp) =>
    p.user.click(p.getByRole('checkbox', { name }));
  const sent = (p: Awaited<ReturnType<typeof sheet>>) => p.sent.find((s) => s.path === '/visits')?.body;

  it('what was found proposes what is usually decided, and that goes unless another is chosen', async () => {
    const p = await sheet({ key: 'correct#1', title: 'Root work' });
    await choose(p, /pests/i);
    const usual = p.getByText('usual').closest('label')!;
    expect((usual.querySelector('input') as HTMLInputElement).checked).to.equal(true);
    expect(p.text(), 'where it can spread').to.contain('bag what you cut off');
    await p.user.click(p.getByRole('button', { name: 'Record what was found' }));
    await p.until(() => expect(sent(p)).to.not.equal(undefined));
    expect(sent(p)).to.deep.include({
      found: ['pests'],
      decision: 'quarantine',
      stepKey: 'correct#1',
      container: null,
    });
    await p.findByText(/Look again/);
    expect(p.text()).to.contain('23 Mar');
  });

  it('a step back names a pot, and only a step back does', async () => {
    const p = await sheet(null, [{ key: 'correct#1', title: 'Root work' }]);
    await p.user.click(p.getByRole('radio', { name: /smaller container/i }));
    await p.user.selectOptions(p.getByLabelText('Back into'), 'pot-9');
    await p.user.click(p.getByRole('radio', { name: /the plan stands/i }));
    expect(p.queryByLabelText('Back into')).to.equal(null);
    await p.user.click(p.getByRole('button', { name: 'Record what was found' }));
    await p.until(() => expect(sent(p)).to.not.equal(undefined));
    expect(sent(p)).to.deep.include({ decision: 'carry-on', container: null });
  });

  it('lighter work between steps asks which work', async () => {
    const p = await sheet(null, [{ key: 'correct#1', title: 'Root work' }]);
    await p.user.click(p.getByRole('radio', { name: /half of what was planned/i }));
    await p.user.selectOptions(p.getByLabelText('Which work'), 'correct#1');
    await p.user.click(p.getByRole('button', { name: 'Record what was found' }));
    await p.until(() => expect(sent(p)).to.not.equal(undefined));
    expect(sent(p)).to.deep.include({ decision: 'lighten', stepKey: 'correct#1' });
  });

  it('a note outlives the sheet: closed and opened again it stands there', async () => {
    const p = await sheet(null);
    await p.user.type(p.getByLabelText('Note'), 'grey threads below');
    expect(JSON.parse(sessionStorage.getItem(`draft visit ${ID(1)} `)!)).to.deep.include({
      note: 'grey threads below',
    });
  });
});
