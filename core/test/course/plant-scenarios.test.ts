import { expect } from 'chai';
import { addDays, daysBetween, toDay, toIso } from '@gonimos/core/calendar';
import { compileCourse, mayMove, readyShare, type Course } from '@gonimos/core/course';
import { programme } from '@gonimos/core/programmes';
import { climateOf, seasonBook, simulate } from '@gonimos/core/season';
import { maritime } from '../sites.ts';
import { decides, facts, house, outside, step, two } from './kit.ts';

/** Stories of the trade: each asserts the date and the rule that put it there. Common practice, no source. */
describe('scenarios: the plant', () => {
  it('a vigour-2 cohort’s chop is put off, with the date it becomes possible', () => {
    const f = facts('acer-campestre', two('root-check', 'chop'), '2027-03-12');
    const on = '2031-12-01';
    const strong = step(compileCourse(f, outside, on), 'b');
    const weak = compileCourse({ ...f, vigour: [{ on, value: 2 }] }, outside, on);
    expect(decides(weak, 'b').rule).to.be.oneOf(['vigour', 'reserve']);
    expect(decides(weak, 'b').text).to.match(/strong enough from \{20\d\d-\d\d-\d\d\}/);
    expect(daysBetween(strong.opens!, step(weak, 'b').opens!)).to.be.at.least(300);
  });

  it('no opening in the season of a hard chop under one insult; allowed under combined at vigour 3', () => {
    const p = two('chop', 'root-work');
    const f = facts('acer-campestre', p, '2027-03-01', { vigour: [{ on: '2029-11-01', value: 3 }] });
    const under = (insults: string) =>
      compileCourse({ ...f, schools: { nursery: {}, cohort: { insults } } }, outside, '2030-01-05');
    const one = under('one');
    const both = under('combined');
    expect(decides(one, 'b').rule).to.equal('school');
    expect(step(one, 'b').opens!.slice(0, 4)).to.equal('2031');
    expect(step(both, 'a').opens!.slice(0, 4)).to.equal('2030');
    expect(step(both, 'b').opens!.slice(0, 4)).to.equal('2030');
    // a cohort's school outweighs the nursery's
    const mixed = { nursery: { insults: 'combined' }, cohort: { insults: 'one' } };
    expect(step(compileCourse({ ...f, schools: mixed }, outside, '2030-01-05'), 'b').opens).to.equal(
      step(one, 'b').opens,
    );
  });

  it('a lavender-like shrub gets staged root work only, never above a fifth of its root', () => {
    const staged = compileCourse(
      facts('lavandula-angustifolia', programme('shrub-staged'), '2027-06-25'),
      outside,
      '2027-06-25',
    );
    const cuts = staged.steps.filter((s) => s.rootCut);
    expect(cuts.length).to.be.at.least(3);
    for (const s of cuts) expect(s.rootCut!.take, s.key).to.be.at.most(0.2);
    expect(staged.steps.filter((s) => s.operation === 'stage-roots' && s.opens).length).to.equal(3);
    const hard = compileCourse(
      facts('lavandula-angustifolia', two('root-work', 'measure'), '2027-06-25', {
        schools: { nursery: {}, cohort: { 'root-ball': 'bare' } },
      }),
      outside,
      '2029-01-01',
    );
    expect(step(hard, 'a').status).to.equal('none');
    expect(decides(hard, 'a').rule).to.be.oneOf(['reserve', 'vigour']);
  });

  it('a swollen-base succulent waits until its wound is recorded dry', () => {
    const p = programme('swollen-base');
    const f = facts('adenium-obesum', p, '2027-06-01', {
      steps: { cut: { status: 'done', doneOn: '2028-05-03' } },
    });
    const wet = compileCourse(f, house, '2028-05-20');
    expect(step(wet, 'plant').ready).to.equal(false);
    expect(decides(wet, 'plant').rule).to.equal('establishment');
    expect(decides(wet, 'plant').text).to.match(/is recorded dry/);
    f.steps.dry = { status: 'done', doneOn: '2028-05-19' };
    const dry = step(compileCourse(f, house, '2028-05-20'), 'plant');
    expect(dry.ready).to.equal(true);
    expect(dry.opens).to.equal('2028-05-19');
  });

  it('a double layer past its cut-off is refused and the single one offered; in time it is allowed', () => {
    const p = { ...programme('air-layer'), schools: { layer: 'double' } };
    const ringed = (on: string) => compileCourse(facts('tilia-cordata', p, on), outside, on);
    const early = ringed('2030-05-05');
    const late = ringed('2030-08-05');
    expect(step(early, 'open').status).to.equal('planned');
    expect(step(early, 'open').reasons.some((r) => r.rule === 'layer cut-off')).to.equal(true);
    expect(step(early, 'sever').opens! > step(early, 'open').target!).to.equal(true);
    expect(step(late, 'open').status).to.equal('none');
    expect(decides(late, 'open').rule).to.equal('layer cut-off');
    expect(step(late, 'open').offers).to.match(/single layer/);
    expect(step(late, 'sever').status).to.equal('planned');
  });

  it('a ground row is lifted every second year under that school and not under the other', () => {
    const under = (option: string) =>
      compileCourse(
        facts(
          'tilia-cordata',
          { ...programme('seed-ground'), schools: { 'ground-lift': option } },
          '2027-03-12',
        ),
        outside,
        '2027-03-12',
      );
    const lifts = (c: Course) => c.steps.filter((s) => s.operation === 'lift-replant').map((s) => s.target!);
    const turns = lifts(under('second-year'));
    expect(turns.length).to.equal(3);
    expect(daysBetween(turns[0], turns[1]) / 365.25).to.be.closeTo(2, 0.1);
    expect(daysBetween(turns[1], turns[2]) / 365.25).to.be.closeTo(2, 0.1);
    expect(lifts(under('left'))).to.deep.equal([]);
  });
});

describe('scenarios: stock, quarantine, hands, buds and odds', () => {
  const f = facts('acer-campestre', two('root-work', 'measure', { container: 'basket-18' }), '2027-03-01');
  const today = '2030-02-20';

  it('two steps want the last 40 baskets: the second waits for the delivery and names who took them', () => {
    const free = step(compileCourse(f, outside, today), 'a');
    const short = { container: 'basket-18', count: 20, until: '2030-03-25', takenBy: 'HB-27' };
    const c = compileCourse({ ...f, steps: { ...f.steps, a: { status: 'planned', short } } }, outside, today);
    expect(free.opens! < '2030-03-25').to.equal(true);
    expect(step(c, 'a').opens).to.equal('2030-03-25');
    expect(decides(c, 'a').rule).to.equal('stock');
    expect(decides(c, 'a').text).to.match(/20 of pond basket 18 cm short; HB-27 takes them first/);
  });

  it('quarantine blocks a move until the cohort is released', () => {
    const held = compileCourse(
      { ...f, quarantine: { since: '2030-02-01', found: 'root aphid' } },
      outside,
      today,
    );
    expect(step(held, 'a').status).to.equal('none');
    expect(decides(held, 'a')).to.include({ rule: 'quarantine' });
    expect(
      mayMove(
        { ...f, quarantine: { since: '2030-02-01', found: 'root aphid' } },
        outside,
        today,
        'a',
        '2030-03-20',
      )!.rule,
    ).to.equal('quarantine');
  });

  it('a day outside the window is refused by name; overridden, it stands with the reason shown', () => {
    expect(mayMove(f, outside, today, 'a', '2030-03-20')).to.equal(null);
    const refused = mayMove(f, outside, today, 'a', '2030-07-10')!;
    expect(refused.rule).to.equal('window');
    expect(refused.text).to.match(/has closed by then; the next opens \{2031-/);
    const inside = { to: '2030-03-20', overrides: null, reason: '' };
    const set = step(
      compileCourse({ ...f, steps: { ...f.steps, a: { status: 'planned', moved: inside } } }, outside, today),
      'a',
    );
    expect(set.target).to.equal('2030-03-20');
    const force = { to: '2030-07-10', overrides: 'window' as const, reason: 'roots through the holes' };
    const c = compileCourse(
      { ...f, steps: { ...f.steps, a: { status: 'planned', moved: force } } },
      outside,
      today,
    );
    expect(step(c, 'a').target).to.equal('2030-07-10');
    expect(decides(c, 'a').rule).to.equal('set by hand');
    expect(decides(c, 'a').text).to.match(/against the rule ‘window’: roots through the holes/);
  });

  it('a tally of buds holds work back until half the cohort is ready, or opens it at once', () => {
    const on = '2030-03-10';
    const at = (ready: number) => compileCourse({ ...f, buds: { on, looked: 40, ready } }, outside, on);
    const few = at(4);
    const many = at(30);
    // one in ten ready and a spread of six days: half are 1.28 × 6 = 8 days behind
    expect(step(few, 'a').reasons.find((r) => r.rule === 'condition')!.text).to.match(/\{2030-03-18\}/);
    expect(step(many, 'a').opens! <= on).to.equal(true);
    // half are ready after the eight days told; a tenth on the day itself
    expect(readyShare(40, 2, 0)).to.be.closeTo(0.05, 0.01);
    expect(readyShare(40, 4, 8)).to.be.closeTo(0.5, 0.03);
  });

  it('odds of living are stated for severe work and are worse for a weak cohort', () => {
    const odds = (vigour: number) =>
      step(
        compileCourse(
          {
            ...f,
            vigour: [{ on: today, value: vigour }],
            steps: {
              ...f.steps,
              a: { status: 'planned', moved: { to: '2030-03-20', overrides: 'reserve', reason: 'must' } },
            },
          },
          outside,
          today,
        ),
        'a',
      ).odds!;
    expect(odds(4)).to.be.within(0.9, 1);
    expect(odds(2)).to.be.lessThan(odds(3));
    expect(odds(3)).to.be.lessThan(odds(4));
  });

  it('fresh roots are kept from the frost that is forecast: the weather guard names the nights', () => {
    const c = climateOf(maritime);
    const cold = simulate(c, 5, toDay('2029-11-01'), 134);
    for (let i = cold.tmin.length - 6; i < cold.tmin.length; i++) {
      cold.tmin[i] = -9;
      cold.tmax[i] = -2;
    }
    const book = seasonBook(c, cold);
    const day = toIso(cold.from + cold.tmin.length - 1);
    const plan = compileCourse(f, book, day);
    expect(step(plan, 'a').reasons.map((r) => r.rule)).to.include('weather guard');
    expect(step(plan, 'a').target! > addDays(day, 1)).to.equal(true);
  });
});
