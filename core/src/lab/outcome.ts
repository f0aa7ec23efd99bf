import { plural } from '../words/index.ts';
import { costUntil } from './cost.ts';
import { HEIGHTS } from './plant.ts';
import type { Forecast } from './run.ts';
import type { LabYear } from './types.ts';

/** What a course comes to, for setting it beside others. */
export interface Outcome {
  /** calendar year in whose season the goal is reached; null: not in these years */
  reached: number | null;
  /** runs that reach it in these years, 0..1 */
  share: number;
  /** mm at the end: one in ten less, the middle, one in ten more */
  end: { p10: number; p50: number; p90: number };
  /** thickness at a hand above the base against the base, 0..1: less is more taper */
  taper: number;
  /** the widest scar that is not carved, of the stem when it was made, and the year it is shut in; null: not in these years */
  scar: { share: number; shut: number | null } | null;
  /** scars that are carved into features */
  carved: number;
  /** moves, and litres of mix they take in all */
  moves: number;
  litres: number;
  /** of work on one plant in all these years */
  minutes: number;
  /** least reserve on the way, 0..1 */
  reserve: number;
}

/** Height the taper is told at, mm. */
export const TAPER_AT = 150;

function widestScar(years: readonly LabYear[]): Outcome['scar'] {
  const end = years.at(-1)!;
  const widest = end.scars.filter((s) => !s.carved).toSorted((a, b) => b.share - a.share)[0];
  if (!widest) return null;
  const shut = years.find((y) => y.scars.find((s) => s.id === widest.id)?.open === 0)?.year ?? null;
  return { share: widest.share, shut };
}

export function outcomeOf(f: Forecast): Outcome {
  const end = f.middle.at(-1)!;
  const band = f.band.at(-1)!;
  const moves = f.course.acts.filter((a) => a.do === 'move');
  const { minutes, litres } = costUntil(f.course);
  return {
    reached: f.goal?.year ?? null,
    share: f.goal?.share ?? 0,
    end: { p10: band.p10, p50: band.p50, p90: band.p90 },
    taper: end.stem[HEIGHTS.indexOf(TAPER_AT)] / end.caliper,
    scar: widestScar(f.middle),
    carved: end.scars.filter((s) => s.carved).length,
    moves: moves.length,
    litres,
    minutes,
    reserve: Math.min(...f.middle.map((y) => y.reserve)),
  };
}

/** Work that differs by less is the same, minutes. */
const MINUTES = 10;

const later = (n: number) => `${plural(n, 'year')} after`;

/** How two courses differ where a grower chooses, in one sentence; `a`, `b`: their names. */
export function difference(a: string, x: Outcome, b: string, y: Outcome): string {
  const told: string[] = [];
  if (x.reached !== null && y.reached !== null && x.reached !== y.reached) {
    const [first, second] = x.reached < y.reached ? [a, b] : [b, a];
    told.push(`${second} reaches it ${later(Math.abs(x.reached - y.reached))} ${first}`);
  } else if (x.reached === null && y.reached === null) told.push('neither reaches it in these years');
  else if (x.reached === null || y.reached === null)
    told.push(
      `${x.reached === null ? b : a} reaches it, ${x.reached === null ? a : b} does not in these years`,
    );
  else told.push('both reach it in the same year');
  const scars = [x.scar?.share ?? 0, y.scar?.share ?? 0];
  if (Math.abs(scars[0] - scars[1]) >= 0.1)
    told.push(`${scars[0] > scars[1] ? a : b} is left with the wider scar`);
  if (x.carved !== y.carved)
    told.push(
      `${x.carved > y.carved ? a : b} carries ${plural(Math.max(x.carved, y.carved), 'carved scar')}`,
    );
  if (Math.abs(x.taper - y.taper) >= 0.08) told.push(`${x.taper < y.taper ? a : b} has the stronger taper`);
  const litres = Math.round(Math.abs(x.litres - y.litres));
  const minutes = Math.round(Math.abs(x.minutes - y.minutes));
  if (minutes >= MINUTES) told.push(`${x.minutes > y.minutes ? a : b} takes ${minutes} minutes more work`);
  if (litres >= 3) told.push(`${x.litres > y.litres ? a : b} takes ${litres} L more mix a plant`);
  return `${told[0].charAt(0).toUpperCase()}${told[0].slice(1)}${told.length > 1 ? `; ${told.slice(1).join(', ')}` : ''}.`;
}
