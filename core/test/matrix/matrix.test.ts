import { expect } from 'chai';
import { toDay, toIso } from '@gonimos/core/calendar';
import type { PlannedStep } from '@gonimos/core/course';
import { climateOf, coldestMonth, simulate } from '@gonimos/core/season';
import { ALLOWED, BY_COLD, BY_WARMTH, LAGS, SPANS, type Months, type Sort, type Zone } from './expected.ts';
import { casesOf, IN_MATRIX, worldOf, type Case, type World } from './world.ts';

/** Most of the steps of a climate that may be refused. */
const MOST_REFUSED = 0.05;
/** Weather years of the test’s own, unlike those the plan was made from. */
const OWN_YEARS = 600;

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

/** What is wrong with the month a step is in. */
function* monthFaults(c: Case, s: PlannedStep): Generator<string> {
  const warm = c.taxon.phenology === 'warm-season';
  const months = warm ? BY_WARMTH[s.operation] : BY_COLD[s.operation]?.[sortOf(c)][zoneOf(c.world)];
  if (months && !within(northern(s.target!, c.world.south), months))
    yield `${s.key} in ${s.target}, months ${months.join('–')}`;
}

/** What is wrong with the days between steps that hang together. */
function* lagFaults({ course: { steps } }: Case): Generator<string> {
  const by = new Map(steps.map((s) => [s.key, s]));
  const days = (from: string, to: string) => toDay(to) - toDay(from);
  for (const s of steps) {
    const parent = s.chain ? by.get(s.key.slice(0, s.key.lastIndexOf('.'))) : undefined;
    const lag = parent && LAGS[`${parent.operation}>${s.operation}`];
    if (!lag || !parent.target || !s.opens) continue;
    const after = days(parent.target, s.opens);
    if (after < lag[0] || after > lag[1]) yield `${s.key} ${after} days after ${parent.key}`;
  }
  for (const [from, to, least, most] of SPANS) {
    const a = by.get(from)?.target;
    const b = by.get(to)?.target;
    if (a && b && (days(a, b) < least || days(a, b) > most)) yield `${from} → ${to}: ${days(a, b)} days`;
  }
}

/** What is wrong with the time a plant stands out: `nightOf` gives the first night at or below a limit. */
function* summerFaults(
  c: Case,
  nightOf: (limit: number, season: number) => number | null,
): Generator<string> {
  const out = c.course.steps.find((s) => s.operation === 'take-out' && s.target);
  if (!out) return;
  const back = c.course.steps.find((s) => s.operation === 'bring-in' && s.opens! >= out.target!);
  if (!back) return yield `goes out in ${out.target} and never comes in`;
  const season = c.world.outdoors.seasonOf(toDay(out.target!));
  const night = nightOf(c.taxon.hardyTo.value, season);
  if (back.target! <= out.target!) yield `comes in on ${back.target}, out only on ${out.target}`;
  if (night === null || toDay(back.target!) > night)
    yield `comes in on ${back.target}, first night ${night === null ? 'never' : toIso(night)}`;
}

describe('the plan in every climate, for every kind and programme', () => {
  for (const id of IN_MATRIX)
    it(id, () => {
      const world = worldOf(id);
      const nights = new Map<string, number | null>();
      const nightOf = (limit: number, season: number) => {
        const key = `${limit} ${season}`;
        if (!nights.has(key)) nights.set(key, firstNight(world, limit, season));
        return nights.get(key)!;
      };
      const refused = new Map<string, number>();
      const faults: string[] = [];
      let steps = 0;
      let cases = 0;
      for (const c of casesOf(world)) {
        cases++;
        const found = [...lagFaults(c), ...summerFaults(c, nightOf)];
        for (const s of c.course.steps) {
          steps++;
          if (s.status === 'none') {
            const code = s.refusal!;
            if (!ALLOWED[code]) found.push(`${s.key} refused: ${code}`);
            refused.set(code, (refused.get(code) ?? 0) + 1);
          } else if (!s.opens || !s.closes || !s.target) found.push(`${s.key} has no date`);
          else found.push(...monthFaults(c, s));
        }
        faults.push(...found.map((f) => `${c.taxon.id} ${c.programme.id}: ${f}`));
      }
      const none = [...refused.values()].reduce((a, b) => a + b, 0);
      const told = [...refused].map(([code, n]) => `${n} ${code}`).join(', ') || 'none';
      console.log(`      ${cases} courses, ${steps} steps; refused: ${told}`);
      expect(faults, faults.slice(0, 12).join('\n')).to.deep.equal([]);
      expect(steps).to.be.above(500);
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
