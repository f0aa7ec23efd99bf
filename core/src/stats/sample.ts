/**
 * Plants to look at so that the mean of a cohort is known to ± `within`, in 95 of 100 cases: n₀ = (1.96·sd ÷ within)²,
 * more where trays are groups of a kind (design effect 1 + (m − 1)·ρ), fewer where the cohort is small (finite
 * population). Cochran 1977, Sampling Techniques, chapters 4 and 9, from memory. Never more than there are.
 *
 * @example sampleFor({ plants: 120, sd: 12, within: 5 }) // 19
 */
export function sampleFor(of: {
  plants: number;
  sd: number;
  within: number;
  /** plants of a tray that are looked at together, and how alike they are */
  perTray?: number;
  alike?: number;
}): number {
  const { plants, sd, within, perTray = 1, alike = 0 } = of;
  const free = ((1.96 * sd) / within) ** 2 * (1 + (perTray - 1) * alike);
  return Math.min(plants, Math.max(1, Math.ceil(free / (1 + (free - 1) / plants))));
}
