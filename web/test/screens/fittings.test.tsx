import '../window';
import { expect } from 'chai';
import type { FittingLine } from '@gonimos/contract/fittings';
import { Fittings } from '../../src/fittings/fittings';
import { cohortRow } from '../cohort';
import { FRAME, ID, shown, TODAY } from '../page';

const LINES: FittingLine[] = [
  {
    id: 'a',
    cohortId: ID(1),
    code: 'AC-35',
    taxonId: 'acer-campestre',
    placeId: FRAME,
    what: 'wire',
    how: 'looks',
    note: '2.5 mm',
    since: '2036-10-01',
    from: '2037-03-01',
    due: '2037-03-05',
    stepKey: 'check#1',
    stretch: null,
  },
  {
    id: ID(7),
    cohortId: ID(2),
    code: 'CB-36',
    taxonId: 'carpinus-betulus',
    placeId: FRAME,
    what: 'stake',
    how: 'takes off',
    note: '',
    since: '2037-02-01',
    from: '2037-04-01',
    due: '2037-04-01',
    stepKey: null,
    stretch: null,
  },
];
const DONE = { recordId: 'r', live: 10, pending: 0, moved: [] };
const page = (answers: object = {}, at = '/fittings') =>
  shown(<Fittings />, { answers: { '/fittings': LINES, '/cohorts': [cohortRow()], ...answers }, at });

describe('on the plants', () => {
  it('nothing is said to be nothing', async () => {
    const p = await page({ '/fittings': [] });
    await p.findByText('Nothing is on the plants that has to go.');
    p.getByText('all 0');
  });

  it('says where each is and since when, and what is late', async () => {
    const p = await page();
    await p.findAllByText(/Cold frame/);
    expect(p.text()).to.contain('wire 2.5 mmAC-35, Cold frame, on since 1 Oct 2036late since 5 Mar');
    expect(p.text()).to.contain('CB-36, Cold frame, on since 1 Feboff by 1 Apr');
  });

  it('is narrowed to one kind by the address', async () => {
    const p = await page({}, '/fittings?what=stake');
    await p.findByText('CB-36');
    expect(p.queryByText('AC-35')).to.equal(null);
    await p.user.click(p.getByText('all 2'));
    await p.findByText('AC-35');
  });

  it('what was put on by hand comes off by one touch; what a step tends opens its sheet', async () => {
    const p = await page({ 'POST /records': DONE });
    await p.user.click(await p.findByRole('button', { name: /^Off ?: stake, CB-36/ }));
    await p.until(() => expect(p.sent).to.have.length(1));
    expect(p.sent[0].body).to.deep.include({ cohortId: ID(2), stepKey: null, on: TODAY });
    expect((p.sent[0].body.details as { fittings: object }).fittings).to.deep.equal({
      on: [],
      off: [ID(7)],
      kept: [],
      tend: null,
    });
    await p.user.click(p.getByRole('button', { name: /^Look ?: wire, AC-35/ }));
    await p.findByRole('dialog');
    expect(p.sent).to.have.length(1);
  });

  it('wire is worked out for the plant of today: gauge, turns, metres and grams with spare, and the day it bites', async () => {
    const p = await page({
      'POST /records': DONE,
      'POST /calc/bite': { thick: 9, due: '2037-07-20', bites: true },
    });
    await p.user.click(await p.findByRole('button', { name: 'Put something on' }));
    await p.user.selectOptions(p.getByLabelText('What'), 'wire');
    await p.user.type(p.getByRole('combobox', { name: 'Cohort' }), 'AC-35');
    await p.user.click(await p.findByRole('option', { name: /AC-35/ }));
    await p.findByText(/bites then/);
    // a third of 9 mm; 300 mm along at 45° is 424 mm, ten plants with 15 % spare, 2.7 g/cm³
    const metres = (300 * Math.SQRT2 * 10 * 1.15) / 1000;
    const grams = Math.PI * 1.5 ** 2 * metres * 2.7;
    expect(p.text()).to.contain('424 mm a plant');
    expect(p.text()).to.contain(`${metres.toFixed(1)} m, ${Math.round(grams)} g`);
    expect(p.text()).to.contain('by 20 Jul');
    await p.user.click(p.getByRole('button', { name: 'Take this over' }));
    await p.user.click(p.getByRole('button', { name: 'Put it on' }));
    await p.until(() => expect(p.sent.some((s) => s.path === '/records')).to.equal(true));
    const { fittings } = p.sent.find((x) => x.path === '/records')!.body.details as {
      fittings: { on: { note: string }[] };
    };
    expect(fittings.on[0]).to.deep.include({ what: 'wire', due: '2037-07-20' });
    expect(fittings.on[0].note).to.match(/^3.0 mm aluminium, \d+ turns over 300 mm/);
  });

  describe('wire that was put on by hand', () => {
    const wire: FittingLine = {
      ...LINES[1],
      id: ID(8),
      what: 'wire',
      note: '2 mm aluminium, branch at 190 mm',
      stretch: { of: 0.22, share: 0.07 },
    };
    const bites = [{ id: 'again', thick: 6, due: '2037-08-02', bites: true }];
    const off = async (line: FittingLine, button: RegExp) => {
      const p = await page({ '/fittings': [line], 'POST /records': DONE, 'POST /calc/bites': bites });
      await p.user.click(await p.findByRole('button', { name: /^Off ?: wire, CB-36/ }));
      const choice = await p.findByRole('button', { name: button });
      await p.until(() => expect((choice as HTMLButtonElement).disabled).to.equal(false));
      await p.user.click(choice);
      await p.until(() => expect(p.sent.some((s) => s.path === '/records')).to.equal(true));
      const { fittings } = p.sent.find((s) => s.path === '/records')!.body.details as {
        fittings: { on: { id: string }[]; off: string[]; kept: object[] };
      };
      return { p, fittings };
    };

    it('is asked whether what it held stayed; either is kept with it', async () => {
      const stayed = await off(wire, /^It stayed/);
      expect(stayed.fittings).to.deep.include({ on: [], off: [ID(8)], kept: [{ id: ID(8), held: true }] });
      const bare = await off(wire, /bare for now/);
      expect(bare.fittings).to.deep.include({ on: [], off: [ID(8)], kept: [{ id: ID(8), held: false }] });
    });

    it('on again it is another wire, with the day by which the same stretch has swollen into it', async () => {
      const { p, fittings } = await off(wire, /on again/);
      expect(p.sent.find((s) => s.path === '/calc/bites')!.body.stretches).to.deep.equal([
        { id: 'again', of: 0.22, share: 0.07 },
      ]);
      expect(fittings.kept).to.deep.equal([{ id: ID(8), held: false }]);
      expect(fittings.on[0]).to.deep.include({ due: '2037-08-02', note: wire.note, stretch: wire.stretch });
      expect(fittings.on[0].id).to.not.equal(ID(8));
    });

    it('of before stretches were told it sits on the stem', async () => {
      const { p } = await off({ ...wire, stretch: null }, /on again/);
      expect(p.sent.find((s) => s.path === '/calc/bites')!.body.stretches).to.deep.equal([
        { id: 'again', of: 0.6, share: 1 },
      ]);
    });
  });
});
