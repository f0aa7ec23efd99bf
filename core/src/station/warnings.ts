import { toIso, type Day, type IsoDate } from '../calendar/index.ts';
import { cp } from '../params/index.ts';
import type { SeasonBook } from '../season/book.ts';
import type { Reading } from './readings.ts';

/** Bounds for warnings. Common practice, no source. */
export const HEAT = cp(32, '°C');
export const STRONG_WIND = cp(14, 'm/s');
/** Roots cut in the last five weeks bear this night, °C. */
export const FRESH_ROOTS = cp(-2, '°C');
export const LOOK_AHEAD = 5;
/** Cohorts named in one warning. */
const MOST_NAMED = 6;

/** Something to be done about the weather. */
export interface Warning {
  kind: 'frost' | 'heat' | 'wind';
  day: IsoDate;
  /** nights or days from today, 0 for tonight */
  ahead: number;
  value: number;
  unit: string;
  /** expected: more likely than not; may: one chance in ten */
  sure: 'expected' | 'may';
  text: string;
  /** plants that stand in it, and whether they can be carried in */
  plants: number;
  carried: boolean;
  cohortIds: string[];
}

/** A cohort as the weather meets it. */
export interface Exposed {
  id: string;
  code: string;
  /** coldest night it bears where and as it stands, °C, and why */
  bears: number;
  because: 'tender kind' | 'roots cut lately';
  book: SeasonBook;
  placeName: string;
  plants: number;
  /** how many pieces there are to carry, in the trade's words: "3 trays" */
  pieces: string;
  /** in the ground: covered, not carried */
  fixed: boolean;
}

/** With the minus that is not taken for a hyphen. */
const signed = (t: number) => String(t).replace('-', '−');
const nightWords = (n: number) => (n === 0 ? 'tonight' : n === 1 ? 'tomorrow night' : `in ${n} nights`);

/** The first night ahead that a cohort will not bear, if there is one. */
function frostFor(c: Exposed, today: Day): Omit<Warning, 'text'> | null {
  for (let n = 0; n < LOOK_AHEAD; n++) {
    // the night that follows a day ends on the next
    const { low } = c.book.outlook(today + n + 1);
    if (low.p10 >= c.bears) continue;
    const sure = low.p50 < c.bears ? 'expected' : 'may';
    const value = Math.round((sure === 'expected' ? low.p50 : low.p10) * 10) / 10;
    return {
      kind: 'frost',
      day: toIso(today + n),
      ahead: n,
      value,
      unit: '°C',
      sure,
      plants: c.plants,
      carried: !c.fixed,
      cohortIds: [c.id],
    };
  }
  return null;
}

/** Frost by place and night, with what to bring in; heat and wind for the open air. */
export function warningsFor(
  exposed: readonly Exposed[],
  air: SeasonBook,
  today: Day,
  latest: Reading | null,
): Warning[] {
  const out: Warning[] = [];
  const groups = new Map<string, { w: Omit<Warning, 'text'>; cohorts: Exposed[] }>();
  for (const c of exposed) {
    const w = frostFor(c, today);
    if (!w) continue;
    const key = `${c.placeName} ${w.day} ${c.because} ${c.fixed}`;
    const group = groups.get(key) ?? { w: { ...w, plants: 0, cohortIds: [] }, cohorts: [] };
    group.cohorts.push(c);
    group.w.plants += c.plants;
    group.w.cohortIds.push(c.id);
    group.w.value = Math.min(group.w.value, w.value);
    if (w.sure === 'expected') group.w.sure = 'expected';
    groups.set(key, group);
  }
  for (const { w, cohorts } of groups.values()) {
    const { fixed, because, placeName } = cohorts[0];
    const doing = fixed ? 'cover' : 'bring in';
    const named = cohorts.slice(0, MOST_NAMED).map((c) => `${c.pieces} of ${c.code}`);
    const more = cohorts.length - named.length;
    const what = named.join(', ') + (more > 0 ? ` and ${more} cohorts more` : '');
    const sure = w.sure === 'expected' ? 'expected' : 'may come';
    out.push({
      ...w,
      text: `${signed(w.value)} °C ${sure} ${nightWords(w.ahead)} at ${placeName}: ${doing} ${what} (${because})`,
    });
  }
  for (let n = 0; n < LOOK_AHEAD; n++) {
    const { high } = air.outlook(today + n);
    if (high.p90 < HEAT.value) continue;
    const value = Math.round(high.p50);
    out.push({
      kind: 'heat',
      day: toIso(today + n),
      ahead: n,
      value,
      unit: '°C',
      plants: 0,
      carried: false,
      cohortIds: [],
      sure: high.p50 >= HEAT.value ? 'expected' : 'may',
      text: `Heat of ${Math.round(high.p90)} °C may come ${n === 0 ? 'today' : `in ${n} days`}: water early, shade small pots`,
    });
    break;
  }
  if (latest && latest.gust >= STRONG_WIND.value)
    out.push({
      kind: 'wind',
      day: toIso(today),
      ahead: 0,
      value: latest.gust,
      unit: 'm/s',
      sure: 'expected',
      plants: 0,
      carried: false,
      cohortIds: [],
      text: `Gusts of ${latest.gust} m/s at the station: lay tall pots down, mind fresh severed layers`,
    });
  return out.sort((a, b) => a.ahead - b.ahead || a.value - b.value);
}
