import '../window';
import { expect } from 'chai';
import type { Mix, MixBatch, MixStock } from '@gonimos/contract/mixes';
import type { StockRow } from '@gonimos/contract/stock';
import { batchOf } from '@gonimos/core/mixes';
import { Batch } from '../../src/mixes/batch';
import { Bins } from '../../src/mixes/bins';
import { Made } from '../../src/mixes/made';
import { MixSheet } from '../../src/mixes/mix-sheet';
import { Arrivals } from '../../src/stock/arrivals';
import { Stock } from '../../src/stock/stock';
import { ID, Refused, shown, TODAY } from '../page';

const MIX: Mix = {
  id: 'half',
  name: 'Half and half',
  parts: [
    { component: 'pumice', parts: 1 },
    { component: 'pumice-coarse', parts: 1 },
  ],
  under: null,
  drain: null,
  own: true,
  version: 3,
};
const bin = (component: string, more: Partial<MixStock> = {}): MixStock => ({
  component,
  have: 200,
  countedOn: '2037-02-01',
  arriving: 0,
  arrives: null,
  wanted: 50,
  cents: 40,
  version: 2,
  ...more,
});
const close = () => undefined;

describe('a batch of mix', () => {
  const stock = [bin('pumice'), bin('pumice-coarse', { have: 10, cents: 60 })];
  const wanted = batchOf(MIX, 100);

  it('says what each bag gives, what is short of it, and what it costs', async () => {
    const p = await shown(<Batch mix={MIX} stock={stock} today={TODAY} />);
    const coarse = wanted.find((w) => w.component.id === 'pumice-coarse')!;
    expect(p.text()).to.contain(`${(coarse.bought - 10).toFixed(coarse.bought - 10 < 10 ? 1 : 0)} L short`);
    const cents = wanted.reduce((n, w) => n + w.bought * (w.component.id === 'pumice' ? 40 : 60), 0);
    expect(p.text()).to.contain(`${(cents / 100).toFixed(2)} in all, ${(cents / 10_000).toFixed(2)} a litre`);
    expect(p.text(), 'dust is minded where it is poured').to.contain('wear a mask');
  });

  it('no price is made up where one is not known, and none is asked for what cannot be mixed', async () => {
    const p = await shown(
      <Batch mix={MIX} stock={[bin('pumice'), bin('pumice-coarse', { cents: null })]} today={TODAY} />,
    );
    expect(p.queryByText(/in all/)).to.equal(null);
    const litres = p.getByLabelText('Ready mixed');
    await p.user.clear(litres);
    await p.user.type(litres, '30000');
    p.getByText(/Ready mixed is not from 0 to/);
    expect(p.queryByRole('button', { name: 'Made today' })).to.equal(null);
  });

  it('made, it is told with its day and note; refused, it says why and keeps what was typed', async () => {
    let no = true;
    const answer = () => (no ? new Refused(409, 'There are 10 L of coarse pumice, 52 are wanted.') : {});
    const p = await shown(<Batch mix={MIX} stock={stock} today={TODAY} />, {
      answers: { 'POST /mix-batches': answer },
    });
    await p.user.type(p.getByLabelText('Note'), 'for the maples');
    await p.user.click(p.getByRole('button', { name: 'Made today' }));
    await p.findByRole('alert');
    expect((p.getByLabelText('Note') as HTMLInputElement).value).to.equal('for the maples');
    no = false;
    await p.user.click(p.getByRole('button', { name: 'Made today' }));
    await p.until(() => expect(p.sent).to.have.length(2));
    expect(p.sent[1].body).to.deep.include({ mix: 'half', on: TODAY, litres: 100, note: 'for the maples' });
    await p.until(() => expect((p.getByLabelText('Note') as HTMLInputElement).value).to.equal(''));
  });

  it('what stands ready can be taken back while it is whole, and says what went in', async () => {
    const batch = (id: number, left: number): MixBatch => ({
      id: ID(id),
      mix: 'half',
      madeOn: '2037-03-01',
      litres: 80,
      left,
      parts: [{ component: 'pumice', litres: 44 }],
      note: 'damp',
      by: 'Bo',
    });
    const mixes = { mixes: [MIX], stock: [], batches: [batch(1, 80), batch(2, 30)] };
    const p = await shown(<Made mixes={mixes} today={TODAY} />, {
      answers: { [`POST /mix-batches/withdraw`]: {} },
    });
    expect(p.getAllByRole('button', { name: /^Take back/ })).to.have.length(1);
    await p.user.click(p.getByRole('button', { name: /30 L of Half and half/ }));
    expect(p.text()).to.contain('From the bags: 44 L');
    expect(p.text()).to.contain('damp.');
  });
});

describe('the recipe of a mix', () => {
  const sheet = (mix: Mix, copy: boolean, answers: object = {}) =>
    shown(<MixSheet mix={mix} copy={copy} onClose={close} />, { answers: answers as Record<string, object> });
  const keep = (p: Awaited<ReturnType<typeof sheet>>) =>
    p.getByRole('button', { name: 'Keep this mix' }) as HTMLButtonElement;

  it('a copy is a new mix under a name of its own; changed, it is the same one at its version', async () => {
    for (const [copy, version] of [
      [true, 0],
      [false, 3],
    ] as const) {
      const p = await sheet(MIX, copy, { 'PUT /mixes': {} });
      await p.user.click(keep(p));
      await p.until(() => expect(p.sent).to.have.length(1));
      expect(p.sent[0].body).to.deep.include({ version, under: null, drain: null, parts: MIX.parts });
      expect(p.sent[0].body.mixId === 'half').to.equal(!copy);
      expect(p.sent[0].body.name).to.equal(copy ? 'Half and half, ours' : 'Half and half');
    }
  });

  it('parts that come to nothing, and a drain test told by half, cannot be kept, and it is said why', async () => {
    const p = await sheet(MIX, false);
    for (const part of [1, 2]) {
      const input = p.getByLabelText(`Parts by volume: parts of ${part}`);
      await p.user.clear(input);
      await p.user.type(input, '0');
    }
    expect(keep(p).disabled).to.equal(true);
    p.getByRole('alert');
    const whole = await sheet(MIX, false);
    await whole.user.type(whole.getByLabelText('Air found'), '22');
    expect(keep(whole).disabled).to.equal(true);
    await whole.user.type(whole.getByLabelText('Depth of the mix'), '120');
    expect(keep(whole).disabled).to.equal(false);
  });

  it('a coarse zone below takes a share of the depth within bounds', async () => {
    const p = await sheet(MIX, false, { 'PUT /mixes': {} });
    await p.user.click(p.getByRole('checkbox', { name: 'Coarser below the roots' }));
    const depth = p.getByLabelText('Of the depth');
    await p.user.clear(depth);
    await p.user.type(depth, '80');
    expect(keep(p).disabled).to.equal(true);
    await p.user.clear(depth);
    await p.user.type(depth, '25');
    await p.user.click(keep(p));
    await p.until(() => expect(p.sent).to.have.length(1));
    expect(p.sent[0].body.under).to.deep.include({ share: 0.25 });
  });

  it('no component is taken twice, and one that is taken out can be taken again', async () => {
    const p = await sheet(MIX, false);
    await p.user.click(p.getByRole('button', { name: 'Another component' }));
    const chosen = () =>
      p.getAllByLabelText(/Parts by volume: component/).map((s) => (s as HTMLSelectElement).value);
    expect(new Set(chosen()).size).to.equal(3);
    await p.user.click(p.getByRole('button', { name: 'Out, 1' }));
    expect(chosen()).not.to.include('pumice');
  });
});

describe('bins and shelf', () => {
  it('what is short stands beside what is there; what nobody has or wants is out of the way', async () => {
    const stock = [
      bin('pumice', { have: 20, wanted: 65 }),
      bin('pumice-coarse', { have: null, wanted: 5 }),
      bin('perlite', { have: null, wanted: 0 }),
    ];
    const p = await shown(<Bins stock={stock} today={TODAY} />, { answers: { 'PUT /mix-stock': {} } });
    expect(p.text()).to.contain('45 L short');
    expect(p.text()).to.match(/pumice, coarsenot counted, 5(\.0+)? L wanted/);
    expect(p.queryByText('perlite'), 'but in the list to count another').to.equal(
      p.getByRole('option', { name: 'perlite' }),
    );
    const helper = await shown(<Bins stock={stock} today={TODAY} />, { role: 'helper' });
    expect(helper.queryByRole('button', { name: /^Count/ })).to.equal(null);
  });

  const row = (container: string, more: Partial<StockRow> = {}): StockRow => ({
    container,
    have: 220,
    countedOn: '2037-02-01',
    arriving: 0,
    arrives: null,
    wanted: 300,
    worn: 0,
    wants: [],
    short: { count: 80, on: '2037-03-20' },
    version: 4,
    ...more,
  });

  it('what is to be ordered is told with its day and a tenth to spare; what a delivery covers is not', async () => {
    const rows = [
      row('basket-18', { wants: [{ cohortId: ID(1), code: 'AC-35', count: 200, on: '2037-03-20' }] }),
      row('pot-9', { have: 10, wanted: 40, short: null, arriving: 50, arrives: '2037-03-25', worn: 3 }),
    ];
    const p = await shown(<Stock />, { answers: { '/stock': rows } });
    const order = await p.findByRole('region', { name: 'To order' });
    expect(order.textContent).to.contain('88 pond basket 18 cm by 20 Mar: 80 short');
    expect(order.textContent).not.to.contain('9 cm');
    expect(p.text()).to.contain('30 short until 25 Mar');
    expect(p.text()).to.contain('3 past use');
    expect(p.text()).to.contain('AC-35 200, 20 Mar').and.contain('and 100 more');
  });

  it('a count goes with the version it was opened at, and a conflict is told', async () => {
    const p = await shown(<Stock />, {
      answers: { '/stock': [row('basket-18')], 'PUT /stock': new Refused(409, 'It was counted meanwhile.') },
    });
    await p.user.click(await p.findByRole('button', { name: /^Count ?pond basket 18 cm/ }));
    const there = p.getByLabelText('On the shelf');
    expect((there as HTMLInputElement).value).to.equal('220');
    await p.user.clear(there);
    await p.user.type(there, '240');
    await p.user.click(p.getByRole('button', { name: 'Save the count' }));
    await p.until(() => expect(p.sent).to.have.length(1));
    expect(p.sent[0].body).to.deep.include({
      container: 'basket-18',
      version: 4,
      counted: 240,
      arrives: null,
    });
  });

  it('a delivery whose day has come: all of it by one touch, or some and the rest another day', async () => {
    const arrivals = [{ container: 'basket-18', arriving: 150, arrives: '2037-03-08', version: 2 }];
    const answers = { 'POST /stock/arrival': {} };
    const p = await shown(<Arrivals arrivals={arrivals} today={TODAY} />, { answers });
    await p.user.click(p.getByRole('button', { name: /^All came/ }));
    await p.until(() => expect(p.sent).to.have.length(1));
    expect(p.sent[0].body).to.deep.include({ container: 'basket-18', came: 150, rest: null, version: 2 });
    const some = await shown(<Arrivals arrivals={arrivals} today={TODAY} />, { answers });
    await some.user.click(some.getByRole('button', { name: /^Not all/ }));
    const came = some.getByLabelText('Came');
    await some.user.clear(came);
    await some.user.type(came, '100');
    await some.user.type(some.getByLabelText('The rest comes'), '2037-03-30');
    await some.user.click(some.getByRole('button', { name: 'Put them on the shelf' }));
    await some.until(() => expect(some.sent).to.have.length(1));
    expect(some.sent[0].body).to.deep.include({ came: 100, rest: '2037-03-30' });
    const none = await shown(<Arrivals arrivals={[]} today={TODAY} />);
    expect(none.text()).to.equal('');
  });
});
