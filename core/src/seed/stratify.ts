import type { Day } from '../calendar/index.ts';
import type { Param } from '../params/index.ts';
import type { SowTime, Taxon } from '../taxa/index.ts';

/** What seed of a kind wants between harvest and sowing. */
export type SeedNeeds = { /** hard seed is nicked or steeped first */ scarify: boolean } & (
  | /** sown as it ripens: it does not keep */ { kind: 'fresh'; ripens: SowTime }
  /** warm moist days first where the embryo is not ripe, then cold moist days */
  | { kind: 'stratified'; warm: Param | null; cold: Param }
  | { kind: 'ready' }
);

type SeedOf = Pick<Taxon, 'sown' | 'scarify' | 'stratification' | 'warmStratification'>;
export function seedNeeds(t: SeedOf): SeedNeeds {
  const scarify = t.scarify === true;
  if (t.sown) return { kind: 'fresh', ripens: t.sown, scarify };
  return t.stratification.value > 0
    ? { kind: 'stratified', warm: t.warmStratification ?? null, cold: t.stratification, scarify }
    : { kind: 'ready', scarify };
}

/** Days of cold that seed had by a day. */
export const chilledBy = (toColdOn: Day, day: Day): number => Math.max(0, day - toColdOn);

/** Cold days still missing when seed is sown before its cold is over; 0 when it is. Sown outdoors in autumn it has them there. */
export const coldMissing = (needs: SeedNeeds, chilled: number): number =>
  needs.kind === 'stratified' ? Math.max(0, needs.cold.value - chilled) : 0;

/** Years a dry lot is older than its kind keeps; 0 while it is good, or where it does not keep at all. */
export function tooOld(t: Pick<Taxon, 'keeps'>, harvested: Day, on: Day): number {
  const years = (on - harvested) / 365.25;
  return years <= Math.max(1, t.keeps.value) ? 0 : Math.floor(years);
}

/** Days within which treated seed is sown, at least. Common practice, no source. */
export const SOWN_WITHIN = 10;
/** Days of soaking before the first warm or cold day. Common practice, no source. */
export const SOAK_DAYS = 1;

export interface Phase {
  what: 'scarify' | 'soak' | 'warm' | 'cold' | 'sow';
  from: Day;
  /** last day; for sowing the last day of the window */
  to: Day;
}

export interface BackCount {
  phases: Phase[];
  /** days of the treatment that lie in the past already: 0 when there is time for all of it */
  late: number;
}

/**
 * Counts back from the window in which seed is to be sown: the day to soak, to put to warm, to put to cold,
 * so that it comes out on the first day of the window. Seed that is late comes out late: when the whole
 * treatment begun on `today` ends after the window, `late` is the days by which it misses it.
 */
export function backCount(needs: SeedNeeds, sow: { from: Day; to: Day }, today: Day): BackCount {
  if (needs.kind !== 'stratified') {
    const from = Math.max(sow.from, today);
    const scarified = needs.scarify ? [{ what: 'scarify' as const, from, to: from }] : [];
    return {
      phases: [...scarified, { what: 'sow', from, to: Math.max(sow.to, from + SOWN_WITHIN) }],
      late: Math.max(0, today - sow.to),
    };
  }
  const warm = needs.warm?.value ?? 0;
  const cold = needs.cold.value;
  const start = Math.max(sow.from - cold - warm - SOAK_DAYS, Math.min(today, sow.from));
  const soaked = start + SOAK_DAYS;
  const chilled = start + SOAK_DAYS + warm;
  const out = chilled + cold;
  return {
    phases: [
      ...(needs.scarify ? [{ what: 'scarify' as const, from: start, to: start }] : []),
      { what: 'soak', from: start, to: soaked },
      ...(warm > 0 ? [{ what: 'warm' as const, from: soaked, to: chilled }] : []),
      { what: 'cold', from: chilled, to: out },
      // seed that comes out late may still be sown for some days
      { what: 'sow', from: out, to: Math.max(out + SOWN_WITHIN, sow.to) },
    ],
    late: Math.max(0, out - sow.to),
  };
}
