import '../window';
import { expect } from 'chai';
import type { LayerPlan, ParentLayers } from '@gonimos/contract/layers';
import { PlanSheet } from '../../src/layers/plan-sheet';
import { EditOperation } from '../../src/library/edit-operation';
import { SeeSheet } from '../../src/observations/see-sheet';
import { cohortRow } from '../cohort';
import { BENCH, FRAME, ID, shown, TODAY } from '../page';

const close = () => undefined;

describe('layers planned on a parent', () => {
  const data = {
    parent: { id: ID(1), code: 'HB-05', base: 74 },
    layers: [],
    calendar: [],
    cutOff: null,
  } as unknown as ParentLayers;
  const plan = (codes: string[]): LayerPlan =>
    ({
      cuts: codes.map((code) => ({
        code,
        ring: 27,
        girth: 57,
        wire: 2,
        moss: 0.6,
        film: [220, 300],
        pot: 'pot-17',
        decision: { verdict: 'single', text: 'opened {2037-07-20}, a second filling freezes' },
      })),
      faults: codes.length > 1 ? [{ layer: codes[1], text: 'stands on the same stem as HB-05L1' }] : [],
      crownTaken: 0.22,
    }) as unknown as LayerPlan;
  const sheet = (more: object = {}) =>
    shown(<PlanSheet data={data} goalId={null} today={TODAY} onClose={close} />, {
      answers: {
        [`POST /parents/${ID(1)}/plan`]: (_: string, body: Record<string, unknown>) =>
          plan((body.layers as { code: string }[]).map((l) => l.code)),
        [`POST /parents/${ID(1)}/layers`]: { ids: [ID(8)] },
      },
      ...more,
    });

  it('says what to cut before anything is cut, with the verdict and its reason, in one’s own units', async () => {
    const p = await sheet();
    await p.findByText(/moss/);
    expect(p.text()).to.match(/Ring 27(\.0)? mm wide, 57(\.0)? mm around/);
    expect(p.text()).to.contain('opened 20 Jul, a second filling freezes');
    expect(p.text()).to.contain('take 22 % of the crown');
    expect(p.text()).to.contain('Local rules come first');
    const us = await sheet({ units: 'US' });
    await us.findByText(/moss/);
    expect(us.text()).to.match(/Ring 1\.06 in wide/);
    expect((us.getByLabelText('Thickness') as HTMLInputElement).value).to.match(/^0\.7/);
  });

  it('one further down is thicker and lower, faults between them are told, and one can be left out', async () => {
    const p = await sheet();
    const go = () => p.getByRole('button', { name: /ringed$/ });
    expect(go().textContent).to.equal('This layer is ringed');
    await p.user.click(p.getByRole('button', { name: 'One more, further down' }));
    await p.findByText('HB-05L2: stands on the same stem as HB-05L1');
    const figures = (label: string) =>
      p.getAllByLabelText(label).map((i) => Number((i as HTMLInputElement).value));
    const [high, low] = figures('Height');
    const [thin, thick] = figures('Thickness');
    expect(high).to.be.above(low);
    expect(thick).to.be.above(thin);
    expect(go().textContent).to.equal('These 2 layers are ringed');
    await p.user.click(p.getByRole('button', { name: 'Leave HB-05L2 out' }));
    expect(go().textContent).to.equal('This layer is ringed');
  });

  it('what is no measure keeps it from being entered, and is told at its input', async () => {
    const p = await sheet();
    const height = p.getByLabelText('Height');
    await p.user.clear(height);
    await p.user.type(height, 'chest high');
    expect((p.getByRole('button', { name: /ringed$/ }) as HTMLButtonElement).disabled).to.equal(true);
    p.getByText(/^Height is/);
    await p.user.clear(height);
    await p.user.type(height, '90 cm');
    await p.user.click(p.getByRole('button', { name: /ringed$/ }));
    await p.until(() => expect(p.sent.some((s) => s.path.endsWith('/layers'))).to.equal(true));
    const { layers, on } = p.sent.find((s) => s.path.endsWith('/layers'))!.body as {
      layers: { height: number; how: string }[];
      on: string;
    };
    expect(on).to.equal(TODAY);
    expect(layers[0]).to.deep.include({ height: 900, how: 'ring' });
  });
});

describe('what is seen of the season', () => {
  const rows = [
    cohortRow(),
    cohortRow({ id: ID(2), taxonId: 'pinus-sylvestris', placeId: BENCH }),
    cohortRow({ id: ID(3), taxonId: 'tilia-cordata', growing: false }),
  ];
  const answer = {
    observation: { id: ID(70), kind: 'buds-swelling', expected: '2037-03-18' },
    cohorts: 2,
    moved: [{ code: 'AC-35', title: 'Root work', wasOpens: '2037-03-20', nowOpens: '2037-03-11' }],
  };
  const sheet = () =>
    shown(<SeeSheet placeId={FRAME} today={TODAY} onClose={close} />, {
      answers: { '/cohorts': rows, 'POST /observations': answer },
    });

  it('asks what, and only of kinds that grow at the place; what moved is told with was and now', async () => {
    const p = await sheet();
    const go = p.getByRole('button', { name: 'Record it' }) as HTMLButtonElement;
    expect(go.disabled, 'until something is said to be seen').to.equal(true);
    const on = p.getByLabelText('On');
    await p.until(() =>
      expect([...on.querySelectorAll('option')].map((o) => o.textContent)).to.deep.equal([
        'everything here',
        'field maple',
      ]),
    );
    await p.user.selectOptions(p.getByLabelText('Where'), BENCH);
    expect([...on.querySelectorAll('option')].map((o) => o.textContent)).to.deep.equal([
      'everything here',
      'Scots pine',
    ]);
    await p.user.click(p.getAllByRole('radio')[0]);
    await p.user.click(go);
    await p.findByText(/2 courses moved/);
    expect(p.sent[0].body).to.deep.include({ placeId: BENCH, taxonId: null, on: TODAY });
    expect(p.text()).to.contain('The model had expected 18 Mar');
    expect(p.text()).to.contain('AC-35 Root workopens 20 Mar → 11 Mar');
  });
});

describe('an operation of one’s own', () => {
  const editor = (search: string, role: 'grower' | 'owner' = 'grower') => {
    return shown(<EditOperation />, {
      path: '/library/operations/:id',
      role,
      at: `/library/operations/root-work${search}`,
      answers: {
        '/own-library': { upTo: '0', own: { operations: [], taxa: [] } },
        '/own-library/versions': [],
        'POST /own-operations': { id: 'x', version: 1 },
        'PUT /own-operations': { id: 'x', version: 1 },
      },
    });
  };

  it('a copy plays the part of the library’s and goes under a name of its own; shares are typed in per cent', async () => {
    const p = await editor('?copy');
    const name = (await p.findByLabelText('Name')) as HTMLInputElement;
    expect(name.value).to.match(/, ours$/);
    const root = p.getByLabelText('Takes of the root');
    await p.user.clear(root);
    await p.user.type(root, '35');
    await p.user.click(p.getByRole('button', { name: 'Keep the copy' }));
    await p.until(() => expect(p.sent).to.have.length(1));
    const body = p.sent[0].body as {
      ownId: string;
      like: string;
      basedOn: number;
      edit: { rootLoss: number };
    };
    expect(body).to.deep.include({ like: 'root-work', basedOn: 0 });
    expect(body.ownId).to.match(/^root-work-/);
    expect(body.edit.rootLoss).to.be.closeTo(0.35, 1e-9);
  });

  it('more than all of the root, or no minutes, is told at its input and not sent', async () => {
    const p = await editor('?copy');
    const root = await p.findByLabelText('Takes of the root');
    await p.user.clear(root);
    await p.user.type(root, '150');
    await p.user.clear(p.getByLabelText('Minutes a plant'));
    await p.user.click(p.getByRole('button', { name: 'Keep the copy' }));
    await p.findByText(/^Takes of the root is/);
    p.getByText(/^Minutes a plant is/);
    expect(p.sent).to.deep.equal([]);
  });
});
