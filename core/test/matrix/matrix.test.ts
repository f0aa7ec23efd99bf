import { expect } from 'chai';
import { toDay, toIso } from '@gonimos/core/calendar';
import type { PlannedStep } from '@gonimos/core/course';
import { climateOf, coldestMonth, simulate } from '@gonimos/core/season';
import { ALLOWED, BY_COLD, BY_WARMTH, LAGS, SPANS, type Months, type Sort, type Zone } from './expected.ts';
import { casesOf, IN_MATRIX, worldOf, type Case, type World } from './world.ts';

/** Most of the steps of a climate that may be refused. */
const MOST_REFUSED = 0.05;
/** Weather years of the test’s own, unlike those the plan was made from. */
const OWN_YEARS = 2000;

const within = (month: number, [from, to]: Months) =>
  from <= to ? month >= from && month <= to : month >= from || month <= to;
/** Month as it would be north of the equator. */
const northern = (iso: string, south: boolean) => ((Number(iso.slice(5, 7)) - 1 + (south ? 6 : 0)) % 12) + 1;
const zoneOf = (w: World): Zone => {
  const coldest = coldestMonth(w.outdoors.climate);
  return coldest >= 8 ? 'mild' : coldest >= 0 ? 'temperate' : 'cold';
};
const sortOf = ({ taxon: { group } }: Case): Sort => {
  if (group === 'pine' || group === 'juniper-cypress') return 'conifer';
  return group === 'evergreen-broadleaf' || group === 'sensitive-shrub' ? 'evergreen' : 'deciduous';
};

/** First night at or below a limit in the warm season of a year: the day before which all but 2 % of years lie. */
function firstNight(w: World, limit: number, season: number): number | null {
  const climate = climateOf(w.site);
  const from = w.outdoors.span(season).from + 171;
  const nights = Array.from({ length: OWN_YEARS }, (_, i) => {
    const run = simulate(climate, 70_000 + i, from, 365);
    const at = run.tmin.findIndex((t) => t <= limit);
    return at < 0 ? Infinity : from + at;
  }).sort((a, b) => a - b);
  const p02 = nights[Math.floor(OWN_YEARS * 0.02)];
  return p02 === Infinity ? null : p02;
}

function checkMonths(c: Case, s: PlannedStep, where: string): void {
  const month = northern(s.target!, c.world.south);
  const warm = c.taxon.phenology === 'warm-season';
  const months = warm ? BY_WARMTH[s.operation] : BY_COLD[s.operation]?.[sortOf(c)][zoneOf(c.world)];
  if (months)
    expect(within(month, months), `${where} in ${s.target}, months ${months.join('–')}`).to.equal(true);
}

function checkLags(c: Case, by: Map<string, PlannedStep>, where: string): void {
  const days = (from: string, to: string) => toDay(to) - toDay(from);
  for (const s of c.course.steps) {
    const parent = s.chain ? by.get(s.key.slice(0, s.key.lastIndexOf('.'))) : undefined;
    const lag = parent && LAGS[`${parent.operation}>${s.operation}`];
    if (lag && parent.target && s.opens)
      expect(days(parent.target, s.opens), `${where} ${s.key}`).to.be.within(...lag);
  }
  for (const [from, to, least, most] of SPANS) {
    const [a, b] = [by.get(from), by.get(to)];
    if (a?.target && b?.target)
      expect(days(a.target, b.target), `${where} ${from} → ${to}`).to.be.within(least, most);
  }
}

describe('the plan in every climate, for every kind and programme', () => {
  for (const id of IN_MATRIX)
    it(id, () => {
      const world = worldOf(id);
      const frost = new Map<string, number | null>();
      const refused = new Map<string, number>();
      let [steps, cases] = [0, 0];
      for (const c of casesOf(world)) {
        cases++;
        const by = new Map(c.course.steps.map((s) => [s.key, s]));
        const where = `${c.taxon.id} ${c.programme.id}`;
        for (const s of c.course.steps) {
          steps++;
          if (s.status === 'none') {
            expect(ALLOWED[s.refusal!], `${where} ${s.key} refused: ${s.refusal}`).to.be.a('string');
            refused.set(s.refusal!, (refused.get(s.refusal!) ?? 0) + 1);
            continue;
          }
          expect(s.opens && s.closes && s.target, `${where} ${s.key} has a date`).to.be.a('string');
          checkMonths(c, s, `${where} ${s.key}`);
        }
        checkLags(c, by, where);
        const out = c.course.steps.find((s) => s.operation === 'take-out' && s.target);
        if (!out) continue;
        const back = c.course.steps.find((s) => s.operation === 'bring-in' && s.opens! >= out.target!)!;
        const season = world.outdoors.seasonOf(toDay(out.target!));
        const key = `${c.taxon.hardyTo.value} ${season}`;
        if (!frost.has(key)) frost.set(key, firstNight(world, c.taxon.hardyTo.value, season));
        const night = frost.get(key)!;
        expect(back.target! > out.target!, `${where} comes in after it went out`).to.equal(true);
        expect(toDay(back.target!), `${where} in by ${toIso(night)}`).to.be.at.most(night);
      }
      const none = [...refused.values()].reduce((a, b) => a + b, 0);
      const told = [...refused].map(([code, n]) => `${n} ${code}`).join(', ') || 'none';
      console.log(`      ${cases} courses, ${steps} steps; refused: ${told}`);
      expect(none / steps).to.be.at.most(MOST_REFUSED);
    });

  it('leaves fall between mid-September in the continental north and the first month of winter in the mildest', () => {
    const rows = IN_MATRIX.map(worldOf).flatMap((w) => {
      const m = w.outdoors.season(2028)['leaf-fall-done'];
      return m.kind === 'days' ? [{ w, m: m }] : [];
    });
    for (const { w, m } of rows) {
      const on = toIso(m.p50);
      console.log(`      ${w.id.padEnd(18)} ${on}, ${toIso(m.p10).slice(5)} to ${toIso(m.p90).slice(5)}`);
      // days after midwinter: mid-September is the 258th, the end of the first month of winter the 364th
      expect(m.p50 - w.outdoors.span(2028).from, `${w.id} ${on}`).to.be.within(257, 365);
      expect(m.p90 - m.p10, w.id).to.be.within(5, 40);
    }
    const north = rows.find((r) => r.w.id === 'baltic')!.m.p50;
    expect(rows.filter((r) => !r.w.south).every((r) => r.m.p50 >= north)).to.equal(true);
    // where the coldest month has a mean above 15 °C there is no leaf fall, and that is said
    for (const id of ['monsoon', 'wet-tropics'])
      expect(worldOf(id).outdoors.season(2028)['leaf-fall-done'])
        .to.have.property('why')
        .match(/too warm/);
  });
});
