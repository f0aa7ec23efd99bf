import { expect } from 'chai';
import type { CohortCourse } from '@gonimos/contract/course';
import type { Round } from '@gonimos/contract/round';
import type { SeasonOfPlace } from '@gonimos/contract/season';
import type { Year } from '@gonimos/contract/year';
import { isIsoDate } from '@gonimos/core/calendar';
import { OPENING_DAY } from '../src/demo/hand.ts';
import { bench, type Bench, type Visitor } from './harness.ts';

describe('the demo nursery on its opening day', () => {
  let b: Bench;
  let v: Visitor;
  before(async () => {
    b = await bench();
    v = await b.visitor('owner');
  });
  after(() => b.close());

  it('every date of every course answers why: a deciding rule, in words, with numbers or days', async () => {
    const cohorts = await v.get<{ id: string; code: string }[]>('/cohorts');
    let dates = 0;
    const bases = new Set<string>();
    for (const c of cohorts)
      for (const s of (await v.get<CohortCourse>(`/cohorts/${c.id}/course`)).steps) {
        if (s.status !== 'planned' && s.status !== 'none') continue;
        dates++;
        const where = `${c.code} ${s.key}`;
        expect(s.reasons.filter((r) => r.binding).length, where).to.equal(1);
        for (const r of s.reasons) {
          expect(r.text.length, where).to.be.greaterThan(8);
          for (const [, day] of r.text.matchAll(/\{([^}]*)\}/g))
            expect(isIsoDate(day), `${where}: ${r.text}`).to.equal(true);
          for (const f of r.figures) {
            bases.add(f.basis);
            expect(
              typeof f.value === 'number' ? Number.isFinite(f.value) : isIsoDate(f.value),
              `${where} ${f.label}`,
            ).to.equal(true);
          }
          expect(r.text, where).not.to.match(/NaN|undefined|null/);
        }
        const told = s.reasons.some((r) => r.figures.length > 0 || /\{\d{4}-/.test(r.text));
        expect(told, where).to.equal(true);
        // what was missed is counted on for today
        const until = s.missed && s.closes! < OPENING_DAY ? OPENING_DAY : s.closes!;
        if (s.status === 'planned') expect(s.opens! <= s.target! && s.target! <= until, where).to.equal(true);
      }
    console.log(`      ${dates} steps asked`);
    expect(dates).to.be.at.least(300);
    expect([...bases]).to.include.members(['computed', 'common practice', 'your data']);
  });

  it('shows one of each: closing, put off for weakness, weather, a moved marker, a levelled week, a surprise', async () => {
    const round = await v.get<Round>('/round');
    expect(round.closing).to.be.at.least(1);
    expect(round.warnings.some((w) => w.kind === 'frost' && w.cohortIds.length > 0)).to.equal(true);
    expect(round.due.some((s) => s.reasons.some((r) => /Found on opening/.test(r.text)))).to.equal(true);
    expect(round.short.length).to.be.at.least(1);
    const weak = await b.db('course_step').where('status', 'planned').select('reasons');
    const rules = weak.flatMap((s: { reasons: { rule: string; binding: boolean }[] }) =>
      s.reasons.filter((r) => r.binding).map((r) => r.rule),
    );
    expect(rules.some((r) => r === 'vigour' || r === 'reserve')).to.equal(true);
    const places = await v.get<{ id: string }[]>('/places');
    const seasons = await Promise.all(places.map((p) => v.get<SeasonOfPlace>(`/places/${p.id}/season`)));
    expect(seasons.some((s) => s.seen.length > 0)).to.equal(true);
    const moved = await b.db('plan_change').where('cause', 'white root tips seen').first('key');
    expect(moved).to.not.equal(undefined);
    const year = await v.get<Year>('/year');
    const { capacity, steps, weeks } = year.problem;
    const alone = Array.from({ length: weeks }, () => 0);
    for (const s of steps) alone[s.ideal] += s.minutes;
    const now = Array.from({ length: weeks }, () => 0);
    for (const l of year.lines)
      now[
        Math.max(
          0,
          year.weeks.findLastIndex((w) => w <= l.target),
        )
      ] += steps.find((s) => s.id === l.id)!.minutes;
    const over = (load: number[]) => load.reduce((n, m, w) => n + Math.max(0, m - capacity.all[w]), 0);
    console.log(`      minutes too many: ${over(alone)} by windows alone, ${over(now)} levelled`);
    expect(over(alone)).to.be.greaterThan(60);
    expect(over(now)).to.be.lessThan(over(alone) / 2);
  });
});
