import { expect } from 'chai';
import { addDays, daysBetween, toDay, toIso } from '@gonimos/core/calendar';
import { compileCourse, plantOn, type CourseFacts, type PlannedStep } from '@gonimos/core/course';
import { programme, suits, usualProgramme, PROGRAMMES } from '@gonimos/core/programmes';
import { doubleCutOff, filling } from '@gonimos/core/layers';
import { climateOf, seasonBook, type SeasonBook } from '@gonimos/core/season';
import { taxon } from '@gonimos/core/taxa';
import { worldOf } from '../matrix/world.ts';
import { warmer } from '../sites.ts';
import { facts, outside, step, two } from './kit.ts';

/** What follows on work, and how honest the numbers are. Common practice, no source. */
const plan = (f: CourseFacts, today: string, book: SeasonBook = outside) => compileCourse(f, book, today);
const says = (s: PlannedStep, rule: string) => s.reasons.find((r) => r.rule === rule);

describe('scenarios: aftercare by what was done', () => {
  const care = (schools: Record<string, string>, key = 'roots-2') =>
    plan(
      facts('acer-campestre', programme('seed-broadleaf'), '2036-03-12', {
        schools: { nursery: {}, cohort: schools },
      }),
      '2036-03-12',
    ).steps.filter((s) => s.chain === key);
  const ops = (schools: Record<string, string>) => care(schools).map((s) => s.operation);

  it('wedges go after three to four weeks where wedges hold; ties stay until the next opening, with a bite check', () => {
    const wedged = care({ holding: 'wedges' });
    const work = step(
      plan(facts('acer-campestre', programme('seed-broadleaf'), '2036-03-12'), '2036-03-12'),
      'roots-2',
    );
    const out = wedged.find((s) => s.operation === 'wedges-out')!;
    expect([daysBetween(work.target!, out.opens!), daysBetween(work.target!, out.closes!)]).to.deep.equal([
      21, 28,
    ]);
    expect(ops({ holding: 'wedges' })).not.to.include('tie-check');
    expect(ops({ holding: 'wired' }))
      .to.include('tie-check')
      .and.not.to.include('wedges-out');
    expect(ops({ holding: 'loose' })).not.to.include.members(['tie-check']);
    const check = care({ holding: 'wired' }).find((s) => s.operation === 'tie-check')!;
    expect(check.title).to.match(/stay until the next opening/);
    expect(says(check, 'window')!.text).to.match(/has swollen by \d+(\.\d)? mm/);
  });

  it('moss is off when new growth shows, also after severing; stubs wait a season, shoots some weeks', () => {
    const c = plan(facts('acer-campestre', programme('seed-broadleaf'), '2036-03-12'), '2036-03-12');
    const by = (key: string) => step(c, key);
    expect(by('roots-2.moss-off').opens!.slice(5, 7)).to.be.oneOf(['04', '05']);
    const chopped = by('chop').target!;
    expect(by('chop.stub-off').opens!.slice(0, 4)).to.equal(String(Number(chopped.slice(0, 4)) + 1));
    expect(daysBetween(chopped, by('chop.shoot-choice').opens!)).to.be.within(45, 110);
    const layer = plan(facts('tilia-cordata', programme('air-layer'), '2036-05-05'), '2036-05-05');
    const off = layer.steps.find((s) => s.operation === 'moss-off')!;
    expect(daysBetween(step(layer, 'sever').target!, off.opens!)).to.be.within(15, 60);
  });

  it('wire put on at the first root work is looked at before the stem swells into it: sooner on a quick kind', () => {
    const first = (id: string, p: string) => {
      const c = plan(facts(id, programme(p), '2036-03-12'), '2036-03-12');
      const wired = step(c, 'wire-1').target!;
      const looked = step(c, 'wire-1.wire-check').opens!;
      return daysBetween(wired, looked);
    };
    const quick = first('acer-buergerianum', 'seed-broadleaf');
    const slow = first('pinus-mugo', 'seed-pine');
    expect(quick).to.be.within(14, 90);
    expect(slow).to.be.greaterThan(quick);
  });
});

describe('scenarios: layers in a cool maritime place and its neighbours', () => {
  const at = (by: number) =>
    worldOf('cool-maritime').site && seasonBook(climateOf(warmer(worldOf('cool-maritime').site, by)));

  it('rung by early May an easy kind is almost full by midsummer, and again three and a half weeks after', () => {
    const book = at(0);
    const first = filling(book, toDay('2037-05-05'));
    const second = filling(book, toDay('2037-06-21'), 'second');
    if (first.kind !== 'days' || second.kind !== 'days') throw new Error('never fills');
    console.log(
      `      first ${toIso(first.p10)} ${toIso(first.p50)} ${toIso(first.p90)}, second ${toIso(second.p10)} ${toIso(second.p50)} ${toIso(second.p90)}`,
    );
    // trade record the warmth was fitted to: a guard, not an outside check
    expect(toDay('2037-06-21')).to.be.within(first.p10, first.p90);
    expect(toDay('2037-06-21') + 25).to.be.within(second.p10, second.p90);
  });

  it('the table of cut-offs: early summer passes, late does not; a month later when warmer, two months earlier when colder', () => {
    const last = (by: number) => doubleCutOff(at(by), toDay('2037-04-15'), toDay('2037-11-30'));
    const cold = last(-3);
    const here = last(0);
    const warm = last(3);
    console.log(
      `      cut-offs ${[cold, here, warm].map((d) => (d === null ? 'none' : toIso(d))).join(', ')}`,
    );
    expect(here!).to.be.within(toDay('2037-07-15'), toDay('2037-08-31'));
    expect(warm! - here!).to.be.within(12, 45);
    expect(here! - cold!).to.be.within(20, 75);
    // a slower kind has less time
    const slow = doubleCutOff(at(0), toDay('2037-04-15'), toDay('2037-11-30'), 'fair')!;
    expect(slow).to.be.below(here!);
  });
});

describe('scenarios: what is held back is not root-bound', () => {
  it('an untouched container binds at the caliper the trade knows: 14 L at 27 mm, 10 L at 24, 3 L at 14', () => {
    // root is three tenths of 0.0995·D^2.4 grams; bound at six grams a litre
    for (const [litres, mm] of [
      [14, 27],
      [10, 24],
      [3, 14],
    ])
      expect((0.3 * 0.0995 * mm ** 2.4) / (6 * litres)).to.be.closeTo(1, 0.1);
  });

  it('root work takes from what fills the container; the trunk stays as it is', () => {
    const p = two('root-work', 'measure', { container: 'basket-32' });
    const f = facts('acer-campestre', p, '2030-03-12', {
      firstContainer: 'basket-32',
      steps: { start: { status: 'done', doneOn: '2030-03-12', container: 'basket-32' } },
    });
    const before = plantOn(f, outside, '2032-03-10');
    const done = { ...f, steps: { ...f.steps, a: { status: 'done' as const, doneOn: '2032-03-15' } } };
    const after = plantOn(done, outside, '2032-03-20');
    expect(after.caliper).to.be.closeTo(before.caliper, 0.2);
    // half the root goes: half the fill is left
    expect(after.fill(after.day) / before.fill(before.day)).to.be.closeTo(0.5, 0.03);
    expect(before.swelling('base', toDay('2031-01-01'), toDay('2032-01-01'))).to.be.greaterThan(0.5);
    expect(before.swelling('stem', toDay('2031-01-01'), toDay('2032-01-01'))).to.be.greaterThan(
      before.swelling('base', toDay('2031-01-01'), toDay('2032-01-01')),
    );
    // half full a season on, it is not bound yet; the plan says when it will be, or moves it on before
    expect(plan(f, '2031-03-10').rootBoundOn).to.equal(null);
  });

  it('the day roots fill a container is the same whenever it is asked for, before it and after', () => {
    const p = two('wire', 'feed');
    const f = facts('acer-campestre', p, '2030-03-12', {
      firstContainer: 'pot-9',
      steps: { start: { status: 'done', doneOn: '2030-03-12', container: 'pot-9' } },
    });
    const on = plan(f, '2030-06-01').rootBoundOn!;
    expect(on).to.be.a('string');
    for (const day of ['2030-06-02', '2031-01-05', on, addDays(on, 40)])
      expect(plan(f, day).rootBoundOn, day).to.equal(on);
  });

  it('a date that waits for a caliper tells the years it may come in', () => {
    const c = plan(facts('acer-palmatum', programme('seed-broadleaf'), '2036-03-12'), '2036-03-12');
    const waiting = c.steps.filter((s) => s.span !== null);
    // the chops come in their year for typical plants; slow ones may hold them up, and that is told too
    expect(waiting.map((s) => s.operation)).to.include.members(['half-chop', 'chop', 'training-pot']);
    for (const { title, span } of waiting) {
      console.log(`      ${title}: ${span!.from}–${span!.to}, most likely ${span!.likely}`);
      expect(span!.from).to.be.at.most(span!.likely);
      expect(span!.to ?? 9999).to.be.at.least(span!.likely);
    }
    expect(
      waiting.some(({ span }) => span!.from < span!.likely || (span!.to ?? 9999) > span!.likely),
      'the doubt is a year and more',
    ).to.equal(true);
    for (const r of c.rings.filter((x) => x.season > 2037))
      expect(r.slow < r.caliper && r.caliper < r.fast).to.equal(true);
  });
});

describe('scenarios: whose numbers they are', () => {
  it('lags and conditions of one’s own programme are one’s own; those of the library are the trade’s', () => {
    const p = two('measure', 'feed');
    p.steps[2].after = [{ step: 'a', days: 30 }];
    p.steps[2].conditions = [{ measure: 'caliper', atLeast: 60, unit: 'mm' }];
    const bases = (own: boolean) => {
      const s = step(plan(facts('acer-campestre', p, '2036-03-01', { own }), '2036-03-01'), 'b');
      return s.reasons
        .filter((r) => r.rule === 'order' || r.rule === 'condition')
        .flatMap((r) => r.figures)
        .filter((f) => f.label === 'lag' || f.label.endsWith('wanted'))
        .map((f) => f.basis);
    };
    expect(new Set(bases(true))).to.deep.equal(new Set(['your data']));
    expect(new Set(bases(false))).to.deep.equal(new Set(['common practice']));
  });

  it('the dried-base programme is for desert roses alone, and is theirs by default', () => {
    expect(usualProgramme('adenium-obesum', PROGRAMMES)!.id).to.equal('swollen-base');
    expect(suits('swollen-base', taxon('adenium-obesum'))).to.equal(true);
    for (const id of ['portulacaria-afra', 'ficus-microcarpa', 'acer-campestre'])
      expect(suits('swollen-base', taxon(id)), id).to.equal(false);
  });

  it('a kind not told yet is planned as the tenderest it may be', () => {
    const f = (maybe: string[]) => facts('quercus-robur', two('measure', 'chop'), '2036-03-12', { maybe });
    const inBy = (maybe: string[]) =>
      plan(f(maybe), '2036-07-01').steps.find((s) => s.key.startsWith('shelter'))?.operation;
    expect([inBy([]), inBy(['punica-granatum'])]).to.deep.equal([undefined, 'bring-in']);
  });
});
