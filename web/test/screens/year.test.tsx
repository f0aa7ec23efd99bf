import '../window';
import { expect } from 'chai';
import type { Year as YearSent, YearLine } from '@gonimos/contract/year';
import { addDays } from '@gonimos/core/calendar';
import type { YearStep } from '@gonimos/core/year';
import { Year } from '../../src/year/year';
import { BENCH, ID, Refused, shown, within } from '../page';

const WEEKS = 8;
const MONDAYS = Array.from({ length: WEEKS }, (_, i) => addDays('2037-03-09', i * 7));
/** Two hours of root work that may be done in any of the first three weeks, meant for the first. */
const step = (n: number, more: Partial<YearStep> = {}): YearStep => ({
  id: `s${n}`,
  minutes: 120,
  skilled: false,
  crew: 1,
  from: 0,
  to: 2,
  ideal: 0,
  priority: 1,
  after: [],
  trail: [],
  locked: null,
  ...more,
});
const line = (n: number, more: Partial<YearLine> = {}): YearLine => ({
  id: `s${n}`,
  cohortId: ID(n),
  key: `correct#${n}`,
  code: `FM-3${n}`,
  title: 'Root work',
  opens: MONDAYS[0],
  closes: MONDAYS[2],
  target: MONDAYS[0],
  week: null,
  later: 0,
  locked: false,
  ...more,
});
/** A nursery with four hours a week, and what is to be done in it. */
const year = (n: number, more: Partial<YearSent> = {}): YearSent => ({
  today: '2037-03-09',
  weeks: MONDAYS,
  shown: 6,
  lockedWeeks: [],
  problem: {
    weeks: WEEKS,
    capacity: { all: MONDAYS.map(() => 240), skilled: MONDAYS.map(() => 240) },
    hands: MONDAYS.map(() => 2),
    steps: Array.from({ length: n }, (_, i) => step(i + 1)),
  },
  lines: Array.from({ length: n }, (_, i) => line(i + 1)),
  people: [
    { id: ID(90), name: 'Ada', role: 'grower', version: 3, hours: 4, skilled: true, pace: 1.2, absences: [] },
  ],
  routines: [],
  routine: MONDAYS.map(() => 0),
  ...more,
});
const page = (sent: YearSent, answers: object = {}, role: 'helper' | 'grower' | 'owner' = 'grower') =>
  shown(<Year />, { role, answers: { '/year': sent, '/pace': { learned: [] }, ...answers } });
type Page = Awaited<ReturnType<typeof page>>;
const weekLines = (p: Page) =>
  p
    .queryAllByRole('listitem')
    .map((l) => l.textContent)
    .filter((t) => /FM-3\d/.test(t));
const sent = (p: Page, path: string) => p.sent.find((s) => s.path === path)!.body;

describe('the year', () => {
  it('what fits is said so; a week shows its work, and whose hands there are', async () => {
    const p = await page(year(2));
    await p.findByText('Everything fits.');
    expect(p.text()).to.contain('2 steps, 4 h 00 in 52 weeks');
    await p.until(() => expect(weekLines(p)).to.have.length(2));
    await p.findByText('20 % longer than usual, by the clock');
    await p.findByText(/Nothing that differs from the library yet/);
  });

  it('what does not fit is told with why and what is lost; levelled it fits, and the weeks are kept', async () => {
    const p = await page(year(5), { 'POST /year/weeks': { kept: 5 } });
    await p.findByText('3 steps do not fit');
    expect(p.text()).to.contain('6 h 00 more than there are hours');
    await p.findAllByText(/the week of 9 Mar has 10 h 00 of work, and 4 h 00 of hands/);
    await p.user.click(p.getByRole('button', { name: 'Level the weeks' }));
    await p.findByText('Everything fits.');
    await p.until(() =>
      expect(p.getByRole('tab', { name: 'Levelled' }).getAttribute('aria-selected')).to.equal('true'),
    );
    for (const said of ['9 Mar: 4 of 4', '16 Mar: 4 of 4', '23 Mar: 2 of 4'])
      await p.findByRole('button', { name: new RegExp(`^Week of ${said} hours`) });
    const keep = await p.findByRole('button', { name: 'Keep these weeks' });
    await p.until(() => expect((keep as HTMLButtonElement).disabled).to.equal(false));
    await p.user.click(keep);
    await p.until(() => expect(p.sent.some((s) => s.path === '/year/weeks')).to.equal(true));
    const { weeks } = sent(p, '/year/weeks') as { weeks: { key: string; week: string; later: number }[] };
    expect(weeks).to.have.length(5);
    // a share that is left goes into the week after
    const load = MONDAYS.map((_, i) =>
      weeks.reduce((n, w) => {
        const at = MONDAYS.indexOf(w.week);
        return n + (at === i ? 120 * (1 - w.later) : at === i - 1 ? 120 * w.later : 0);
      }, 0),
    );
    expect(load.slice(0, 4)).to.deep.equal([240, 240, 120, 0]);
    await p.findByText('5 steps have their week now.');
  }).timeout(60_000);

  it('another week is chosen by its bar, with keys as well; it is locked, and a step in it', async () => {
    const kept = year(2);
    kept.lines = [line(1, { week: MONDAYS[0] }), line(2, { target: MONDAYS[1], week: MONDAYS[1] })];
    const p = await page(kept, { 'PUT /year/week': [MONDAYS[1]], 'PUT /year/step': {} });
    await p.until(() => expect(weekLines(p)).to.have.length(1));
    const bar = p.getAllByRole('button', { name: /16 Mar/ })[0];
    bar.focus();
    await p.user.keyboard('{Enter}');
    await p.until(() => expect(weekLines(p)[0]).to.contain('FM-32'));
    await p.user.click(p.getByRole('button', { name: 'Lock this week' }));
    await p.until(() => expect(p.sent.some((s) => s.path === '/year/week')).to.equal(true));
    expect(sent(p, '/year/week')).to.deep.include({ week: MONDAYS[1], locked: true });
    expect(p.getByRole('button', { name: 'Let the kept weeks go' })).to.not.equal(null);
  });

  it('hours of a person are an owner’s to set, those of a week a grower’s, and a refusal is said where it was typed', async () => {
    const answers = {
      [`PUT /people/${ID(90)}/absence`]: new Refused(409, 'Somebody has changed these hours meanwhile.'),
    };
    const p = await page(year(1), answers);
    const usual = await p.findByLabelText('Hours a week of Ada');
    expect((usual as HTMLInputElement).disabled).to.equal(true);
    const week = p.getByLabelText('Hours of Ada in the week of 9 Mar');
    await p.user.type(week, '2');
    await p.user.tab();
    await p.findByText('Somebody has changed these hours meanwhile.');
    expect(sent(p, `/people/${ID(90)}/absence`)).to.deep.include({ week: MONDAYS[0], hours: 2, was: null });
    const owner = await page(year(1), { [`PUT /people/${ID(90)}/hours`]: {} }, 'owner');
    const own = await owner.findByLabelText('Hours a week of Ada');
    // cleared by a slip it stays what it was
    await owner.user.clear(own);
    await owner.user.tab();
    expect((own as HTMLInputElement).value).to.equal('4');
    await owner.user.clear(own);
    await owner.user.type(own, '6,5');
    await owner.user.tab();
    await owner.until(() => expect(owner.sent).to.have.length(1));
    expect(owner.sent[0].body).to.deep.include({ version: 3, hours: 6.5, skilled: true });
  });

  it('routine hours are added by place and months, with what is wrong at its field, and taken out', async () => {
    const routines = [
      { id: ID(70), what: 'watering' as const, placeId: BENCH, hours: 5, fromMonth: 4, toMonth: 10 },
    ];
    const p = await page(year(1, { routines }), {
      'POST /routines': { id: ID(71) },
      [`POST /routines/${ID(70)}/end`]: {},
    });
    await p.findByText(/5 h a week, Apr\w* to Oct/);
    await p.user.click(p.getByRole('button', { name: 'Add' }));
    const sheet = within(p.getByRole('dialog'));
    await p.user.click(sheet.getByRole('button', { name: 'Keep' }));
    await sheet.findByText(/is missing|is not a number/);
    expect(p.sent).to.deep.equal([]);
    await p.user.selectOptions(sheet.getByLabelText('What'), 'weeding');
    await p.user.type(sheet.getByLabelText('Hours a week'), '1.5');
    await p.user.click(sheet.getByRole('button', { name: 'Keep' }));
    await p.until(() => expect(p.sent.some((s) => s.path === '/routines')).to.equal(true));
    expect(sent(p, '/routines')).to.deep.include({
      what: 'weeding',
      hours: 1.5,
      placeId: null,
      fromMonth: 4,
    });
    await p.user.click(p.getByRole('button', { name: /^Take out/ }));
    await p.until(() => expect(p.sent.some((s) => s.path.endsWith('/end'))).to.equal(true));
  });

  it('a helper looks, and changes nothing', async () => {
    const p = await page(year(3), {}, 'helper');
    await p.findByText('1 step does not fit');
    await p.until(() => expect(weekLines(p).length).to.be.above(0));
    for (const name of ['Level the weeks', 'Lock this week', 'Add'])
      expect(p.queryByRole('button', { name }), name).to.equal(null);
  });
});
