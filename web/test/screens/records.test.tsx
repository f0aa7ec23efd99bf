import '../window';
import { expect } from 'chai';
import type { NewRecord } from '@gonimos/contract/records';
import { RecordSheet } from '../../src/records/record-sheet';
import { PutOffSheet } from '../../src/records/put-off-sheet';
import type { Recordable } from '../../src/records/asks';
import { ID, Refused, shown, TODAY } from '../page';

const STEP: Recordable = {
  cohortId: ID(1),
  code: 'AC-35',
  taxonId: 'acer-campestre',
  stepKey: 'correct#1',
  operation: 'root-correct',
  title: 'First root correction',
  live: 40,
  pending: 0,
  part: 0,
  about: null,
  container: 'grooved-3',
  minutes: 120,
  rootCut: { wanted: 0.6, limit: 0.5, take: 0.5 },
  topCut: null,
  nextTime: '',
  odds: 0.96,
};
const LOOK: Recordable = {
  ...STEP,
  stepKey: null,
  operation: null,
  title: 'A look',
  rootCut: null,
  odds: null,
};
const moved = {
  key: 'repot#1',
  title: 'Pot on',
  days: 14,
  was: { opens: '2037-04-01', closes: '2037-04-20' },
  now: { opens: '2037-04-15', closes: '2037-05-04' },
  because: { rule: 'recovery', text: 'it recovers until {2037-04-15}', figures: [], binding: true },
};
const DONE = { recordId: 'r1', live: 38, pending: 0, moved: [moved] };
/** What the sheet asks beside the record itself; the answers matter to none of these tests. */
const BESIDE = {
  '/mixes': { mixes: [], stock: [], batches: [] },
  [`/cohorts/${ID(1)}/pots`]: { pots: [], down: null },
  [`/cohorts/${ID(1)}/course`]: { steps: [] },
  'POST /calc/done': { change: { moved: [], added: [], removed: [], ends: { was: null, now: null } } },
};

/** The sheet of a step, and what was sent with its button. */
async function sheetOf(step: Recordable, answers: object = { 'POST /records': DONE }, more: object = {}) {
  const p = await shown(<RecordSheet step={step} today={TODAY} onClose={() => undefined} />, {
    answers: { ...BESIDE, ...answers },
    ...more,
  });
  return {
    ...p,
    field: (name: string) => p.getByLabelText(name),
    send: () => p.user.click(p.getByRole('button', { name: 'Record' })),
    record: () => p.sent.find((s) => s.path === '/records')?.body as unknown as NewRecord | undefined,
  };
}

describe('the recording sheet', () => {
  it('left as it stands it says: all of them, today, into what was planned', async () => {
    const p = await sheetOf(STEP);
    await p.send();
    await p.findByText(/Recorded\./);
    expect(p.record()).to.deep.include({
      cohortId: ID(1),
      stepKey: 'correct#1',
      on: TODAY,
      done: null,
      finished: true,
      losses: [],
      minutes: null,
    });
    expect(p.record()!.details.potting).to.deep.include({ container: 'grooved-3', back: null });
    expect(p.record()!.details).to.not.have.any.keys('roots', 'survival', 'sizes', 'looks');
    expect(p.text()).to.contain('38 alive');
  });

  it('says what may go, what the model thinks, and what was left the last time', async () => {
    const p = await sheetOf({ ...STEP, nextTime: 'the thick root at the north' });
    expect(p.text()).to.match(/Take up to 50 % of the root; the limit today is 50 %/);
    expect(p.text()).to.contain('the model says 96 %');
    expect(p.text()).to.contain('Left from last time: the thick root at the north');
    expect(p.text(), 'tools that cut').to.contain('Local rules come first');
  });

  it('a part of them leaves the step open; all of them closes it again', async () => {
    const p = await sheetOf({ ...STEP, part: 10 });
    const finished = p.getByRole('checkbox', { name: /finished for the whole cohort/ }) as HTMLInputElement;
    const done = p.field('Plants done');
    expect(done.getAttribute('placeholder')).to.equal('30');
    await p.user.type(done, '12');
    expect(finished.checked).to.equal(false);
    await p.user.clear(done);
    await p.user.type(done, '30');
    expect(finished.checked).to.equal(true);
    await p.user.clear(done);
    await p.user.type(done, '12');
    await p.send();
    await p.until(() => expect(p.record()).to.deep.include({ done: 12, finished: false }));
  });

  it('losses are told by cause, a line each; lines left empty are none', async () => {
    const p = await sheetOf(STEP);
    await p.user.type(p.field('Loss 1, how many'), '2');
    await p.user.selectOptions(p.field('Loss 1, cause'), 'frost');
    await p.user.click(p.getByRole('button', { name: 'Another cause' }));
    await p.user.type(p.field('Loss 2, how many'), '1');
    await p.user.selectOptions(p.field('Loss 2, kind'), 'culled');
    await p.user.selectOptions(p.field('Loss 2, cause'), 'poor roots');
    await p.user.click(p.getByRole('button', { name: 'Another cause' }));
    await p.send();
    await p.until(() => expect(p.record()).to.not.equal(undefined));
    expect(p.record()!.losses.map(({ kind, count, cause }) => ({ kind, count, cause }))).to.deep.equal([
      { kind: 'lost', count: 2, cause: 'frost' },
      { kind: 'culled', count: 1, cause: 'poor roots' },
    ]);
  });

  it('what is no number is said at its input, nothing is sent, and what was typed stands', async () => {
    const p = await sheetOf(STEP);
    await p.user.type(p.field('Plants done'), 'twelve');
    await p.send();
    await p.findByText(/Plants done .*number/);
    expect(p.field('Plants done').getAttribute('aria-invalid')).to.equal('true');
    expect((p.field('Plants done') as HTMLInputElement).value).to.equal('twelve');
    expect(p.record()).to.equal(undefined);
  });

  it('what the server has against it stands at the input it is about', async () => {
    const field = 'details.potting.container';
    const no = new Refused(400, `${field} is not on the shelf`, [{ field, reason: 'is not on the shelf' }]);
    const p = await sheetOf(STEP, { 'POST /records': no });
    await p.send();
    await p.findByText('Into is not on the shelf');
    expect(p.queryByText(/Recorded/)).to.equal(null);
  });

  it('a figure hard to believe is asked back; said to be meant, it goes', async () => {
    let times = 0;
    const answer = (_: string, body: Record<string, unknown>) => {
      times++;
      if (body.meant === true) return DONE;
      return new Refused(409, 'meant', [{ field: 'meant', reason: '900 plants of 40' }]);
    };
    const p = await sheetOf(STEP, { 'POST /records': answer });
    await p.send();
    const meant = await p.findByRole('checkbox', { name: /It is meant so/ });
    await p.user.click(meant);
    await p.send();
    await p.findByText(/Recorded\./);
    expect(times).to.equal(2);
  });

  it('after it: what moved, was and now, with the reason, and a way back', async () => {
    const p = await sheetOf(STEP, { 'POST /records': DONE, 'POST /records/r1/undo': {} });
    await p.send();
    await p.findByText('14 days later');
    expect(p.text()).to.contain('1 Apr – 20 Apr → 15 Apr – 4 May');
    expect(p.text()).to.contain('because: it recovers until 15 Apr');
    await p.user.click(p.getByRole('button', { name: /^Undo/ }));
    await p.until(() => expect(p.sent.map((s) => s.path)).to.include('/records/r1/undo'));
  });

  it('sizes are read in one’s own units, and sent in millimetres', async () => {
    for (const [units, calipers, heights] of [
      ['metric', '6.35 12.7', '304.8'],
      ['US', '1/4 1/2', '1 ft'],
    ] as const) {
      const p = await sheetOf(LOOK, { 'POST /records': DONE }, { units });
      await p.user.type(p.field('Calipers'), calipers);
      await p.user.type(p.field('Heights'), heights);
      await p.send();
      await p.until(() => expect(p.record()).to.not.equal(undefined));
      const { sizes } = p.record()!.details;
      expect(sizes!.calipers, units).to.deep.equal([6.35, 12.7]);
      expect(sizes!.heights[0], units).to.be.closeTo(304.8, 1e-9);
    }
  });

  it('a look between steps has no part, no container and nothing to finish', async () => {
    const p = await sheetOf(LOOK);
    expect(p.queryByLabelText('Plants done')).to.equal(null);
    expect(p.queryByLabelText('Into')).to.equal(null);
    expect(p.queryByText(/finished for the whole cohort/)).to.equal(null);
    await p.user.type(p.field('Looked at'), '20');
    await p.user.type(p.field('Ready'), '5');
    await p.send();
    await p.until(() => expect(p.record()).to.not.equal(undefined));
    expect(p.record()!.details.looks!.buds).to.deep.equal({ looked: 20, ready: 5 });
  });

  it('more buds ready than were looked at are refused where they were typed', async () => {
    const p = await sheetOf(LOOK);
    await p.user.type(p.field('Looked at'), '5');
    await p.user.type(p.field('Ready'), '6');
    await p.send();
    await p.until(() => expect(p.field('Ready').getAttribute('aria-invalid')).to.equal('true'));
    expect(p.record()).to.equal(undefined);
  });

  it('a look at wire tells what stays, what is bare and what had bitten; what stays keeps the step open', async () => {
    const wire = { ...STEP, operation: 'wire-check', title: 'Wire check', rootCut: null, odds: null };
    const p = await sheetOf(wire);
    const finished = p.getByRole('checkbox', { name: /finished for the whole cohort/ }) as HTMLInputElement;
    await p.user.type(p.field('Bare'), '30');
    expect(finished.checked).to.equal(true);
    await p.user.type(p.field('Wired'), '8');
    expect(finished.checked).to.equal(false);
    await p.user.type(p.field('Biting'), '2');
    await p.send();
    await p.until(() => expect(p.record()).to.not.equal(undefined));
    expect(p.record()!.finished).to.equal(false);
    expect(p.record()!.details.fittings!.tend).to.deep.include({ stays: 8, off: 30, biting: 2 });
  });
});

describe('a walk through a wired batch', () => {
  const wire = { ...STEP, operation: 'wire-check', title: 'Wire check', rootCut: null, odds: null };

  it('is counted by taps, one for each plant, beside what was typed', async () => {
    const p = await sheetOf(wire);
    const tap = (name: string, times: number) =>
      Array.from({ length: times }).reduce<Promise<void>>(
        (before) => before.then(() => p.user.click(p.getByRole('button', { name: `${name} +1` }))),
        Promise.resolve(),
      );
    await p.user.type(p.field('Bare'), '20');
    await tap('Bare', 2);
    await tap('Wired', 3);
    await tap('Biting', 1);
    await p.user.type(p.field('Sprang back'), '4');
    expect((p.field('Bare') as HTMLInputElement).value).to.equal('22');
    const finished = p.getByRole('checkbox', { name: /finished for the whole cohort/ }) as HTMLInputElement;
    expect(finished.checked, 'three are looked at again').to.equal(false);
    await p.send();
    await p.until(() => expect(p.record()).to.not.equal(undefined));
    expect(p.record()!.details.fittings!.tend).to.deep.equal({ stays: 3, off: 22, biting: 1, sprang: 4 });
  });

  it('wire that goes on with it is told beside what was counted, and neither is lost', async () => {
    const line = { what: 'wire' as const, note: '2 mm', due: '2037-08-01', stretch: { of: 0.3, share: 0.1 } };
    const p = await sheetOf({ ...wire, puts: { title: 'Wire that goes on', lines: [line] } });
    await p.user.type(p.field('Bare'), '38');
    await p.user.type(p.field('Wired'), '2');
    await p.send();
    await p.until(() => expect(p.record()).to.not.equal(undefined));
    const { on, tend } = p.record()!.details.fittings!;
    expect(tend).to.deep.include({ stays: 2, off: 38 });
    expect(on).to.have.length(1);
    expect(on[0]).to.deep.include(line);
  });

  it('wire that was decided and is not put on today is left out', async () => {
    const lines = ['a', 'b'].map((note) => ({
      what: 'wire' as const,
      note,
      due: '2037-08-01',
      stretch: null,
    }));
    const p = await sheetOf({ ...STEP, puts: { title: 'Wire that goes on', lines } });
    await p.user.click(p.getByRole('checkbox', { name: 'wire a' }));
    await p.send();
    await p.until(() => expect(p.record()).to.not.equal(undefined));
    expect(p.record()!.details.fittings!.on.map((f) => f.note)).to.deep.equal(['b']);
  });

  it('a tie-down does not spring back, and is not asked whether it did', async () => {
    const p = await sheetOf({ ...wire, operation: 'tie-check', title: 'Ties' });
    expect(p.queryByLabelText('Sprang back')).to.equal(null);
    p.getByRole('button', { name: 'Stays on +1' });
  });
});

describe('not yet', () => {
  const step = { cohortId: ID(1), code: 'AC-35', stepKey: 'correct#1', title: 'First root correction' };
  const cost = (until: string) => ({
    window: { opens: '2037-03-02', closes: '2037-03-23' },
    lands: { opens: until, closes: '2037-03-30' },
    past: until > '2037-03-23',
    endMoves: 0,
    within: ['2037-03-16', '2037-03-20'],
    change: { moved: [], added: [], removed: [], ends: { was: null, now: null } },
  });

  it('asks the cost of each day before it is said, offers days within the window, and wants a reason', async () => {
    const p = await shown(<PutOffSheet step={step} today={TODAY} onClose={() => undefined} />, {
      answers: {
        'POST /calc/put-off': (_: string, body: Record<string, unknown>) => cost(body.until as string),
        'POST /put-offs': { recordId: 'r', live: 40, pending: 0, moved: [] },
      },
    });
    const asked = () => p.sent.filter((s) => s.path === '/calc/put-off').map((s) => s.body.until);
    await p.findByText('Within its window');
    expect(asked()).to.deep.equal(['2037-03-16']);
    await p.user.click(p.getByRole('button', { name: '20 Mar' }));
    await p.until(() => expect(asked()).to.deep.equal(['2037-03-16', '2037-03-20']));
    expect(p.getByRole('button', { name: '20 Mar' }).getAttribute('aria-pressed')).to.equal('true');
    await p.user.click(p.getByRole('button', { name: 'Put off and plan again' }));
    await p.findByText(/^Why is (missing|empty)/);
    expect(p.sent.some((s) => s.path === '/put-offs')).to.equal(false);
    await p.user.click(p.getByRole('button', { name: 'weather' }));
    await p.user.click(p.getByRole('button', { name: 'Put off and plan again' }));
    await p.findByText(/Nothing else in the course moved/);
    expect(p.sent.at(-1)!.body).to.deep.include({
      until: '2037-03-20',
      reason: 'weather',
      stepKey: 'correct#1',
    });
  });

  it('says of what there is no time for then that the course goes on without it; no day of a long window is called beyond it', async () => {
    const gone = { ...step, opens: null, closes: null, key: step.stepKey };
    const answer = {
      ...cost('2037-09-20'),
      window: { opens: '2037-04-20', closes: '2037-05-18' },
      lands: null,
      change: { ...cost('').change, removed: [gone] },
    };
    const p = await shown(<PutOffSheet step={step} today={TODAY} onClose={() => undefined} />, {
      answers: { 'POST /calc/put-off': answer },
    });
    await p.findByText(/no time for it then, and the course goes on without it/);
    expect(p.queryByText('Beyond it')).to.equal(null);
    expect(p.queryByRole('button', { name: '4 May' })).to.equal(null);
  });
});
