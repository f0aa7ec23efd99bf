import { percent } from '../words/index.ts';
import { groupBy } from '../group/index.ts';
import { RHO_BATCHES, TRAY_RHO } from '../../data/survival.ts';
import { fisherExact, wilson, withinCorrelation, type Share } from '../stats/index.ts';

/** What is compared by. */
export const COMPARED_BY = ['year', 'method', 'lot'] as const;
export type ComparedBy = (typeof COMPARED_BY)[number];

/** One tray or batch: so many came through of so many, with what else is known of it. */
export interface Unit {
  group: string;
  k: number;
  n: number;
  /** what else may have differed: "place", "lot", "sown", in words */
  traits: Record<string, string>;
}

export interface GroupRate {
  group: string;
  k: number;
  n: number;
  units: number;
  /** plants that the n are worth once their trays are respected */
  effective: number;
  /** with the 95 % interval of the effective plants */
  share: Share;
}

export interface Rates {
  groups: GroupRate[];
  /** within-tray correlation used, and whether the trays themselves told it */
  rho: number;
  estimated: boolean;
}

/**
 * Rates of groups with intervals that respect trays: n plants of one tray are worth n / (1 + (n − 1)ρ) on their
 * own (design effect, Kish 1965), ρ estimated from five trays on.
 */
export function groupRates(units: readonly Unit[]): Rates {
  const used = units.filter((u) => u.n > 0);
  const byGroup = groupBy(used, (u) => u.group);
  // spread between trays of the same group, not between groups
  const told = [...byGroup.values()].filter((g) => g.length > 1);
  const estimated = used.length >= RHO_BATCHES ? pooledCorrelation(told) : null;
  const rho = estimated ?? TRAY_RHO.value;
  const groups = [...byGroup].map(([group, of]) => {
    const k = of.reduce((s, u) => s + u.k, 0);
    const n = of.reduce((s, u) => s + u.n, 0);
    const effective = of.reduce((s, u) => s + u.n / (1 + (u.n - 1) * rho), 0);
    const share = { ...wilson((k / n) * effective, effective)!, k, n };
    return { group, k, n, units: of.length, effective, share };
  });
  groups.sort((a, b) => a.group.localeCompare(b.group, 'en', { numeric: true }));
  return { groups, rho, estimated: estimated !== null };
}

function pooledCorrelation(groups: readonly (readonly Unit[])[]): number | null {
  const each = groups.map((g) => ({ rho: withinCorrelation(g), weight: g.length - 1 }));
  const weight = each.reduce((s, e) => s + (e.rho === null ? 0 : e.weight), 0);
  if (weight < RHO_BATCHES - 1) return null;
  return each.reduce((s, e) => s + (e.rho ?? 0) * e.weight, 0) / weight;
}

export interface Difference {
  a: GroupRate;
  b: GroupRate;
  /** share of a less share of b, with 95 % limits */
  by: number;
  low: number;
  high: number;
  /** Fisher's exact test on the effective plants, two-sided */
  p: number;
  verdict: 'more' | 'fewer' | 'cannot tell';
}

/**
 * The difference of two rates by the hybrid score interval: method 10 of Newcombe 1998, Statistics in Medicine
 * 17:873–890, on the intervals that respect trays.
 */
export function difference(a: GroupRate, b: GroupRate): Difference {
  const by = a.share.value - b.share.value;
  const low = by - Math.hypot(a.share.value - a.share.low, b.share.high - b.share.value);
  const high = by + Math.hypot(a.share.high - a.share.value, b.share.value - b.share.low);
  const counts = ({ share, effective }: GroupRate): [number, number] => {
    const n = Math.round(effective);
    const k = Math.round(share.value * n);
    return [k, n - k];
  };
  const verdict = low > 0 ? 'more' : high < 0 ? 'fewer' : 'cannot tell';
  return { a, b, by, low, high, p: fisherExact(...counts(a), ...counts(b)), verdict };
}

/** Traits in which the units of two groups differ altogether: each may be the reason, none is shown to be. */
export function alsoDiffers(units: readonly Unit[], a: string, b: string): string[] {
  const values = (group: string, trait: string) =>
    new Set(units.filter((u) => u.group === group).map((u) => u.traits[trait] ?? ''));
  const traits = new Set(units.flatMap((u) => Object.keys(u.traits)));
  return [...traits].filter((t) => {
    const x = values(a, t);
    const y = values(b, t);
    return [...x].every((v) => !y.has(v)) && x.size > 0 && y.size > 0;
  });
}

/** Percentage points with their sign. */
export const points = (x: number): string => {
  const n = Math.round(x * 100);
  return n > 0 ? `+${n}` : n < 0 ? `−${-n}` : '0';
};

/** One plain sentence on two groups, claiming no cause. `came`: "up", "rooted". */
export function sentence(d: Difference, came: string, differs: readonly string[]): string {
  const rates = `${d.a.group}: ${percent(d.a.share.value)} ${came} (${d.a.k} of ${d.a.n}); ${d.b.group}: ${percent(d.b.share.value)} (${d.b.k} of ${d.b.n}).`;
  const span = `between ${Math.round(Math.abs(d.low) * 100)} and ${Math.round(Math.abs(d.high) * 100)}`;
  const said =
    d.verdict === 'cannot tell'
      ? `That is no more than trays differ by chance: the difference may lie anywhere from ${points(d.low)} to ${points(d.high)} points.`
      : `That is ${d.verdict} than trays differ by chance, by ${d.verdict === 'more' ? span : `between ${Math.round(Math.abs(d.high) * 100)} and ${Math.round(Math.abs(d.low) * 100)}`} points.`;
  const why =
    differs.length === 0
      ? 'It does not say why.'
      : `It does not say why: ${[...differs.slice(0, -2), differs.slice(-2).join(' and ')].join(', ')} differed too.`;
  return `${rates} ${said} ${why}`;
}
