import '../window';
import { expect } from 'chai';
import { Outlet } from 'react-router';
import type { CohortCourse, CourseStep, PlanChange } from '@gonimos/contract/course';
import type { Reason } from '@gonimos/core/course';
import { CoursePart } from '../../src/course/course';
import { cohortOf } from '../cohort';
import { ID, Refused, shown, within } from '../page';

const REASON: Reason = {
  rule: 'window',
  text: 'Opens with bud swell, {2037-03-14}',
  binding: true,
  figures: [],
};
/** A step of the course: root work this spring, open now. */
const step = (key: string, more: Partial<CourseStep> = {}): CourseStep => ({
  key,
  operation: 'root-work',
  title: 'Root work',
  lane: 'roots',
  status: 'planned',
  chain: null,
  opens: '2037-03-01',
  closes: '2037-03-30',
  opensEarly: '2037-02-25',
  opensLate: '2037-03-06',
  target: '2037-03-12',
  wantsOn: null,
  doneOn: null,
  container: null,
  rootCut: null,
  topCut: null,
  odds: null,
  ready: true,
  waits: [],
  minutes: 60,
  offers: null,
  refusal: null,
  span: null,
  materials: [],
  missed: null,
  moved: null,
  reasons: [REASON],
  putOff: null,
  part: 0,
  about: null,
  recordId: null,
  nextTime: '',
  ...more,
});
const LATER = step('chop#1', {
  title: 'Chop to a low branch',
  lane: 'top',
  operation: 'chop',
  opens: '2039-02-20',
  closes: '2039-03-20',
  target: '2039-03-01',
  ready: false,
  waits: [{ key: 'correct#1', days: 600 }],
});
const DONE = step('sow', { title: 'Sow', status: 'done', doneOn: '2035-03-02', opens: null, closes: null });

const cohort = cohortOf({ live: 24, startedFrom: '2035-03-01' });
const WithCohort = () => <Outlet context={cohort} />;
const page = (
  steps: CourseStep[],
  answers: object = {},
  role: 'helper' | 'grower' = 'grower',
  changes: PlanChange[] = [],
) =>
  shown(<WithCohort />, {
    role,
    inside: <CoursePart />,
    answers: {
      [`/cohorts/${ID(1)}/course`]: { steps, endsOn: '2041-03-01', rootBoundOn: null } satisfies CohortCourse,
      [`/cohorts/${ID(1)}/changes`]: changes,
      ...answers,
    },
  });
type Page = Awaited<ReturnType<typeof page>>;
const listOf = (p: Page, name: string) =>
  within(p.getByRole('heading', { name }).closest('section')!)
    .queryAllByRole('listitem')
    .map((l) => l.textContent.replace(/\s+/g, ' '));

describe('the course of a cohort', () => {
  it('what is due can be recorded, what comes later is set to a day, what is done stands below', async () => {
    const p = await page([DONE, step('correct#1'), LATER]);
    await p.findByRole('heading', { name: 'Ahead' });
    const [due, later] = listOf(p, 'Ahead');
    expect(due).to.match(/^Root workdue1 Mar – 30 Mar.*RecordNot yetWhy/);
    expect(later).to.match(/^Chop to a low branchwaits20 Feb – 20 Mar 2039.*Set a day/);
    expect(listOf(p, 'Done')[0]).to.match(/^Sowdone2 Mar 2035/);
    expect(p.text()).to.contain('The plan has not moved yet.');
  });

  it('what is said of a step stands at it: cut held back, odds, put off, set by hand against a rule, next time', async () => {
    const p = await page([
      step('correct#1', {
        rootCut: { wanted: 0.5, limit: 0.3, take: 0.3 },
        odds: 0.93,
        putOff: { until: '2037-03-20', reason: 'too weak' },
        moved: { to: '2037-03-20', overrides: 'window', reason: 'the house is warm' },
        nextTime: 'mind the fork',
        offers: 'slip it on with the ball kept',
      }),
    ]);
    await p.findByText('Root cut held to 30 % of the 50 % wanted');
    for (const said of [
      'Lives through it: 93 in a hundred, by the model',
      'Put off: too weak',
      'Set by hand to 20 Mar against',
      'the house is warm',
      'Next time: mind the fork',
      'Instead: slip it on with the ball kept',
    ])
      expect(p.text()).to.contain(said);
  });

  it('why answers with the rule, and the days in it are read', async () => {
    const p = await page([step('correct#1')]);
    await p.user.click(await p.findByRole('button', { name: /^Why/ }));
    const sheet = within(p.getByRole('dialog'));
    expect(sheet.getByText(/Opens with bud swell, 14 Mar/)).to.not.equal(null);
  });

  it('a step set to a day is asked of the rules first; refused it wants a reason, and goes against the rule by name', async () => {
    const asked: unknown[] = [];
    const p = await page([step('correct#1'), LATER], {
      'POST /calc/move': (_: string, body: Record<string, unknown>) => {
        asked.push(body.to);
        return {
          refused: { rule: 'establishment', text: 'Roots were disturbed {2037-03-12}' },
          change: null,
        };
      },
      'POST /moves': { recordId: 'r', live: 24, pending: 0, moved: [] },
    });
    await p.user.click(await p.findByRole('button', { name: /^Set a day/ }));
    await p.findByText(/^Refused by the rule: /);
    expect(asked).to.deep.equal(['2039-03-01']);
    const set = p.getByRole('button', { name: /against the rule$/ }) as HTMLButtonElement;
    expect(set.disabled, 'without a reason').to.equal(true);
    await p.user.type(p.getByLabelText(/^Set it anyway/), 'the frame is heated');
    await p.user.click(set);
    await p.until(() => expect(p.sent.some((s) => s.path === '/moves')).to.equal(true));
    expect(p.sent.find((s) => s.path === '/moves')!.body).to.deep.include({
      stepKey: 'chop#1',
      to: '2039-03-01',
      reason: 'the frame is heated',
      override: 'yes',
    });
  });

  it('by the arrow keys a step is moved a day, or with shift a week; done ones stay', async () => {
    const asked: unknown[] = [];
    const p = await page([DONE, step('correct#1')], {
      'POST /calc/move': (_: string, body: Record<string, unknown>) => {
        asked.push(body.to);
        return new Refused(409, 'Somebody moved it meanwhile.');
      },
    });
    const bar = await p.findByRole('button', { name: /^Root work, 1 Mar – 30 Mar, planned for 12 Mar/ });
    bar.focus();
    await p.user.keyboard('{Shift>}{ArrowRight}{/Shift}');
    await p.findByText('Somebody moved it meanwhile.');
    expect(asked).to.deep.equal(['2037-03-19']);
    await p.user.keyboard('{Escape}');
  });

  it('aftercare is shown when it is asked for, or when it is due', async () => {
    const care = (key: string, more: Partial<CourseStep>) =>
      step(key, { chain: 'correct#1', lane: 'care', operation: 'survival-look', ...more });
    const p = await page([
      care('correct#1.survival-look', { title: 'Survival look' }),
      care('correct#1.first-feed', {
        title: 'First feed',
        ready: false,
        opens: '2037-04-20',
        closes: '2037-05-01',
      }),
    ]);
    await p.findByRole('heading', { name: 'Ahead' });
    expect(listOf(p, 'Ahead').map((l) => l.slice(0, 10))).to.deep.equal(['Survival l']);
    await p.user.click(p.getByRole('checkbox', { name: /^Show aftercare/ }));
    expect(listOf(p, 'Ahead')).to.have.length(2);
  });

  it('what moved is told with its cause and the rule; a helper is offered neither putting off nor another day', async () => {
    const change: PlanChange = {
      id: 'c1',
      at: '2037-03-08',
      key: 'correct#1',
      title: 'Root work',
      cause: 'bud swell was seen',
      wasOpens: '2037-03-10',
      wasCloses: '2037-04-01',
      nowOpens: '2037-03-01',
      nowCloses: '2037-03-30',
      because: REASON,
    };
    const p = await page([step('correct#1'), LATER], {}, 'helper', [change]);
    await p.findByText(/bud swell was seen/);
    expect(listOf(p, 'What moved')[0]).to.equal(
      '8 MarRoot work: 10 Mar – 1 Apr → 1 Mar – 30 Marbud swell was seen; Opens with bud swell, 14 Mar',
    );
    expect(p.queryByRole('button', { name: 'Not yet' })).to.equal(null);
    expect(p.queryByRole('button', { name: /^Set a day/ })).to.equal(null);
    expect(p.getByRole('button', { name: 'Record' })).to.not.equal(null);
  });
});
