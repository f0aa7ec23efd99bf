import type { Day } from '../calendar/index.ts';
import type { Param } from '../params/index.ts';
import type { Taxon } from '../taxa/index.ts';

/** What seed of a kind wants between harvest and sowing. */
export type SeedNeeds =
  /** sown as it falls: it does not keep */
  | { kind: 'fresh' }
  /** warm moist days first where the embryo is not ripe, then cold moist days */
  | { kind: 'stratified'; warm: Param | null; cold: Param }
  | { kind: 'ready' };

export function seedNeeds(t: Pick<Taxon, 'fresh' | 'stratification' | 'warmStratification'>): SeedNeeds {
  if (t.fresh) return { kind: 'fresh' };
  return t.stratification
    ? { kind: 'stratified', warm: t.warmStratification ?? null, cold: t.stratification }
    : { kind: 'ready' };
}

/** Days of soaking before the first warm or cold day. Common practice, no source. */
export const SOAK_DAYS = 1;

export interface Phase {
  what: 'soak' | 'warm' | 'cold' | 'sow';
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
  if (needs.kind !== 'stratified')
    return {
      phases: [{ what: 'sow', from: Math.max(sow.from, today), to: Math.max(sow.to, today) }],
      late: Math.max(0, today - sow.to),
    };
  const [warm, cold] = [needs.warm?.value ?? 0, needs.cold.value];
  const start = Math.max(sow.from - cold - warm - SOAK_DAYS, Math.min(today, sow.from));
  const [soaked, chilled] = [start + SOAK_DAYS, start + SOAK_DAYS + warm];
  const out = chilled + cold;
  return {
    phases: [
      { what: 'soak', from: start, to: soaked },
      ...(warm > 0 ? [{ what: 'warm' as const, from: soaked, to: chilled }] : []),
      { what: 'cold', from: chilled, to: out },
      { what: 'sow', from: out, to: Math.max(out, sow.to) },
    ],
    late: Math.max(0, out - sow.to),
  };
}
