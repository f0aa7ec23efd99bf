import '../window';
import { expect } from 'chai';
import type { Round as RoundData } from '@gonimos/contract/round';
import { Round } from '../../src/round/round';
import { MissedList } from '../../src/missed/missed-list';
import { BENCH, ID, shown, TODAY } from '../page';
import { missedStep, roundStep } from '../steps';

const round = (more: Partial<RoundData> = {}): RoundData => ({
  today: TODAY,
  missed: [],
  missedInAll: 0,
  due: [],
  open: more.due?.length ?? 0,
  closing: 0,
  closingBy: '2037-03-19',
  soon: [],
  ready: [],
  sheltered: [],
  warnings: [],
  short: [],
  uncounted: [],
  arrivals: [],
  starts: [],
  fittings: { soon: [], all: 0 },
  watch: [],
  ...more,
});
const THREE = [
  roundStep(),
  roundStep({ cohortId: ID(2), code: 'CB-36', taxonId: 'carpinus-betulus', live: 12 }),
  roundStep({
    cohortId: ID(3),
    code: 'PS-30',
    taxonId: 'pinus-sylvestris',
    placeId: BENCH,
    operation: 'survival-look',
    key: 'look#1',
    title: 'Survival look',
    lane: 'care',
    minutes: 10,
  }),
];
const BESIDE = {
  '/beds': [],
  '/room/full': [],
  '/beds/full': [],
  '/meanwhile': { since: TODAY, today: TODAY, days: 0, records: [], moved: [], markers: [], weather: [] },
  'POST /meanwhile/seen': {},
  '/shelter': [],
  '/station': null,
};
const page = (data: RoundData, more: object = {}) =>
  shown(<Round />, { answers: { ...BESIDE, '/round': data, ...more } });

describe('the round', () => {
  it('groups work by place, with its time; small looks come last, whatever place they are at', async () => {
    const p = await page(round({ due: THREE }));
    const heads = () => p.queryAllByRole('heading', { level: 2 }).map((h) => h.textContent);
    await p.until(() => {
      expect(heads()[0]).to.equal('Cold frame4 h 00');
      expect(heads()[1]).to.equal('Aftercare and looks10 min');
    });
    expect(p.text()).to.contain('3 open');
  });

  it('thirty steps are put there a few at a time: all of them, in their order, under one heading for each place', async () => {
    const due = Array.from({ length: 30 }, (_, i) =>
      roundStep({ cohortId: ID(i + 1), code: `C-${i + 1}`, ...(i % 2 === 1 ? { placeId: BENCH } : {}) }),
    );
    const p = await page(round({ due }));
    const odd = due.filter((_, i) => i % 2 === 0).map((s) => s.code);
    const even = due.filter((_, i) => i % 2 === 1).map((s) => s.code);
    const rows = () =>
      p.queryAllByRole('listitem').flatMap((l) => l.textContent.match(/C-\d+/)?.slice(0, 1) ?? []);
    await p.until(() => expect(rows()).to.deep.equal([...odd, ...even]));
    const heads = p.getAllByRole('heading', { level: 2 }).map((h) => h.textContent);
    expect(heads.filter((h) => /^(Cold frame|South bench)/.test(h))).to.have.length(2);
  });

  it('keys go through it, and do what the button does for the step one is at', async () => {
    const p = await page(round({ due: THREE }), {
      'POST /records': { recordId: 'r', live: 12, pending: 0, moved: [] },
    });
    await p.findByText('Survival look');
    const current = () => p.container.querySelector('[aria-current=true]')!.textContent;
    expect(current()).to.contain('AC-35');
    await p.user.keyboard('j');
    expect(current()).to.contain('CB-36');
    await p.user.keyboard('k');
    await p.user.keyboard('k');
    expect(current(), 'the first is the end').to.contain('AC-35');
    await p.user.keyboard('j');
    await p.user.keyboard('a');
    await p.until(() => expect(p.sent).to.have.length(1));
    expect(p.sent[0].body).to.deep.include({
      cohortId: ID(2),
      stepKey: 'correct#1',
      done: null,
      finished: true,
    });
  });

  it('what has to be told is not recorded by one touch: the key opens its sheet', async () => {
    const p = await page(round({ due: [THREE[2]] }));
    await p.findByText('Survival look');
    expect(p.queryByRole('button', { name: /^All 40 done/ })).to.equal(null);
    await p.user.keyboard('a');
    await p.findByRole('dialog', { hidden: true });
    expect(p.sent).to.deep.equal([]);
  });

  it('says of a step what it is about: part done, container, limits, odds, whose pots', async () => {
    const [step] = [
      roundStep({
        part: 15,
        rootCut: { wanted: 0.7, limit: 0.5, take: 0.5 },
        odds: 0.82,
        host: 'QR-30',
        guests: [{ code: 'VI-36', live: 4 }],
        nextTime: 'turn it',
        putOff: { until: TODAY, reason: 'no pots' },
      }),
    ];
    const p = await page(round({ due: [step] }));
    await p.findByText(/15 done, 25 left/);
    const text = p.text();
    for (const words of [
      'up to 50 % of the root',
      '82 in a hundred live through it',
      'in the pots of QR-30',
      'Guests in the same pots: 4 of VI-36',
      'Last time: turn it',
      'Was put off: no pots',
      'The other 25 done',
    ])
      expect(text).to.contain(words);
  });

  it('of several chosen, only those that need no telling can be, and the count is said', async () => {
    const p = await page(round({ due: THREE }));
    await p.findByText('Survival look');
    await p.user.click(p.getByRole('button', { name: /Several/ }));
    const boxes = p.getAllByRole('checkbox', { name: /^Choose / });
    expect(boxes.map((b) => b.getAttribute('aria-label'))).to.deep.equal([
      'Choose AC-35, First root correction',
      'Choose CB-36, First root correction',
    ]);
    const record = p.getByRole('button', { name: 'Record them at once' }) as HTMLButtonElement;
    expect(record.disabled).to.equal(true);
    for (const b of boxes) await p.user.click(b);
    expect(p.text()).to.contain('2 chosen');
    expect(record.disabled).to.equal(false);
  });

  it('opens the bench a step is drawn at: roots, stem, or stems set together; care is drawn nowhere', async () => {
    const at = (operation: string, lane: 'roots' | 'top' | 'care') =>
      page(round({ due: [roundStep({ operation, lane })] }));
    for (const [operation, lane, path] of [
      ['root-correct', 'roots', 'roots'],
      ['chop', 'top', 'stem'],
      ['fuse', 'roots', 'fuse'],
    ] as const) {
      const p = await at(operation, lane);
      const link = await p.findByRole('link', { name: /drawn, AC-35$/ });
      expect(link.getAttribute('href')).to.equal(`/cohorts/${ID(1)}/${path}`);
    }
    const care = await at('first-feed', 'care');
    await care.findByText('First root correction');
    expect(care.queryByRole('link', { name: /drawn, AC-35$/ })).to.equal(null);
  });

  it('nothing due says what comes next; with nothing at all it says how to begin', async () => {
    const soon = roundStep({ opens: '2037-03-14', code: 'TC-30', title: 'Sow' });
    const p = await page(round({ soon: [soon] }));
    await p.findByText(/The next window opens in 5 days: TC-30, Sow/);
    const empty = await page(round());
    await empty.findByRole('link', { name: 'Start a cohort' });
  });

  it('a helper is not offered to put off', async () => {
    for (const [role, offered] of [
      ['helper', 0],
      ['grower', 1],
    ] as const) {
      const p = await shown(<Round />, {
        role,
        answers: { ...BESIDE, '/round': round({ due: [THREE[0]] }) },
      });
      await p.findByText('First root correction');
      expect(p.queryAllByRole('button', { name: 'Not yet' }), role).to.have.length(offered);
    }
  });
});

describe('what was missed', () => {
  const WIRE = missedStep({
    cohortId: ID(2),
    code: 'PS-33',
    key: 'check#1',
    operation: 'wire-check',
    title: 'Wire check',
  });
  const LAST = missedStep({ cohortId: ID(4), code: 'TB-31', next: null });
  const recorded: string[] = [];
  const list = (steps: (typeof WIRE)[], more: object = {}) =>
    shown(
      <MissedList steps={steps} inAll={steps.length} today={TODAY} onRecord={(m) => recorded.push(m.code)} />,
      { answers: { 'POST /missed': { recordId: 'r', live: 1, pending: 0, moved: [] } }, ...more },
    );

  it('says what it may have done since, and what can be said of it', async () => {
    const p = await list([WIRE]);
    expect(p.text()).to.contain('1 missed');
    expect(p.text()).to.contain('may bite since 20 Feb');
    expect(p.text()).to.contain('next 2 Feb 2038');
    await p.user.click(p.getByRole('button', { name: /^Do it now/ }));
    expect(recorded).to.deep.equal(['PS-33']);
    await p.user.click(p.getByRole('button', { name: /^Next time/ }));
    await p.until(() => expect(p.sent).to.have.length(1));
    expect(p.sent[0].body).to.deep.include({
      answer: 'next time',
      on: null,
      steps: [{ cohortId: ID(2), stepKey: 'check#1' }],
    });
  });

  it('what has no other window cannot wait for it, alone or among others', async () => {
    const alone = await list([LAST]);
    expect(alone.queryByRole('button', { name: /^Next time/ })).to.equal(null);
    const p = await list([missedStep(), LAST]);
    await p.user.click(p.getByRole('button', { name: /2 missed/ }));
    await p.user.click(p.getByRole('button', { name: 'Choose all' }));
    expect(p.queryByRole('button', { name: 'All next time' })).to.equal(null);
    await p.user.click(p.getByRole('button', { name: 'Let all go' }));
    await p.until(() => expect(p.sent).to.have.length(1));
    expect(p.sent[0].body).to.deep.include({ answer: 'let go' });
    expect(p.sent[0].body.steps).to.have.length(2);
  });

  it('done and not written down: on the last day of its window, or another', async () => {
    const p = await list([missedStep()]);
    await p.user.click(p.getByRole('button', { name: /^Done on/ }));
    const day = p.getByLabelText('Done on') as HTMLInputElement;
    expect(day.value).to.match(/20 Feb/);
    await p.user.clear(day);
    await p.user.type(day, '2037-02-12');
    await p.user.click(p.getByRole('button', { name: 'Record it' }));
    await p.until(() => expect(p.sent).to.have.length(1));
    expect(p.sent[0].body).to.deep.include({ answer: 'done', on: '2037-02-12' });
  });

  it('a helper may do it, and not let it go', async () => {
    const p = await list([missedStep()], { role: 'helper' });
    p.getByRole('button', { name: /^Do it now/ });
    expect(p.queryByRole('button', { name: /^Let go/ })).to.equal(null);
  });
});
