/** One severe piece of work that was looked at afterwards: what was said before, and what came of it. */
export interface SurvivalOutcome {
  /** chance of living, 0..1, by the model and as the grower stated it */
  model: number;
  grower: number | null;
  alive: number;
  of: number;
}

/**
 * Brier score of a stated chance over plants of which some lived: the mean of (stated − outcome)² plant by
 * plant. 0 is perfect, 0.25 is what "half and half" always gets. Source: Brier 1950, Monthly Weather
 * Review 78:1–3. Returns null when nobody was looked at; throws RangeError unless 0 ≤ alive ≤ of.
 */
export function brier(stated: number, alive: number, of: number): number | null {
  if (!(alive >= 0 && alive <= of)) throw new RangeError(`not a share: ${alive} of ${of}`);
  if (of === 0) return null;
  const lived = alive / of;
  return lived * (stated - 1) ** 2 + (1 - lived) * stated ** 2;
}

export interface Score {
  looks: number;
  plants: number;
  model: number | null;
  grower: number | null;
}

/** Brier scores of the model and of the grower over outcomes, each plant weighing the same. */
export function scoreOf(outcomes: readonly SurvivalOutcome[]): Score {
  const mean = (stated: (o: SurvivalOutcome) => number | null) => {
    let sum = 0;
    let plants = 0;
    for (const o of outcomes) {
      const said = stated(o);
      if (said === null || o.of === 0) continue;
      sum += brier(said, o.alive, o.of)! * o.of;
      plants += o.of;
    }
    return plants === 0 ? null : Math.round((sum / plants) * 1000) / 1000;
  };
  return {
    looks: outcomes.length,
    plants: outcomes.reduce((n, o) => n + o.of, 0),
    model: mean((o) => o.model),
    grower: mean((o) => o.grower),
  };
}

/** Plants of experience that weigh as much as the library's value. Common practice, no source. */
export const PRIOR_PLANTS = 200;
const LEAST = 0.7;
const MOST = 1.2;

/**
 * How outcomes move what a group is taken to bear: a factor on its tolerances. Plants that live more often
 * than the model said raise it, shrunk by the library's weight and kept within 0.7 to 1.2.
 */
export function learnedTolerance(outcomes: readonly SurvivalOutcome[]): { factor: number; plants: number } {
  const plants = outcomes.reduce((n, o) => n + o.of, 0);
  if (plants === 0) return { factor: 1, plants: 0 };
  const surplus = outcomes.reduce((n, o) => n + (o.alive - o.model * o.of), 0) / plants;
  const shrunk = (surplus * plants) / (plants + PRIOR_PLANTS);
  const factor = Math.min(MOST, Math.max(LEAST, 1 + 2 * shrunk));
  return { factor: Math.round(factor * 100) / 100, plants };
}
