import type { LabStart, OwnGrowth } from '@gonimos/core/lab';

/** A sample of calipers: its mean, and how plants differ in it, mm; null for a sample of one. */
export interface Measured {
  on: string;
  caliper: number;
  n: number;
  sd: number | null;
}

/** What a cohort brings to the trunk lab. */
export interface TrunkLab {
  /** its typical plant before the next season it can grow in */
  start: LabStart;
  /** mm; null: no aim is set */
  goal: number | null;
  /** what it stands in */
  container: string;
  /** its growth against that of its kind, by its own measurements */
  growth: OwnGrowth;
  /** calipers measured so far, oldest first */
  measured: Measured[];
}
