import { batchShare, type BatchShare } from '../starts/index.ts';
import { cp, type Param } from '../params/index.ts';
import type { GrowthGroup, Taxon } from '../taxa/index.ts';

/** A look at stems some weeks after they were cut: how many broke below the cut, and shoots on all of them. */
export interface SproutLook {
  cut: number;
  broke: number;
  /** null: not counted */
  shoots: number | null;
}

const CONIFERS: readonly GrowthGroup[] = ['pine', 'juniper-cypress', 'deciduous-conifer'];

/** Stems of a kind that break from bare wood below a cut, by the library. */
export function librarySprouts({ group, sproutsOld }: Pick<Taxon, 'group' | 'sproutsOld'>): Param {
  if (!sproutsOld) return cp(0.05, 'of stems cut into bare wood');
  return cp(CONIFERS.includes(group) ? 0.75 : 0.9, 'of stems cut');
}

/** What is known of how a kind breaks. */
export interface Sprouts extends BatchShare {
  /** shoots on a stem that broke, in the looks where they were counted; null: never counted */
  shoots: number | null;
  /** stems looked at */
  stems: number;
}

/**
 * The share of stems of a kind that will break below a cut, learned from looks after earlier cuts. Stems of one cohort
 * share its luck, so a look teaches by cohorts, as survival does.
 *
 * @example sproutsOf(maple, [{ cut: 12, broke: 12, shoots: 40 }]).mean // 0.93, up from 0.9
 */
export function sproutsOf(kind: Pick<Taxon, 'group' | 'sproutsOld'>, looks: readonly SproutLook[]): Sprouts {
  const counted = looks.filter((l) => l.shoots !== null && l.broke > 0);
  const broke = counted.reduce((n, l) => n + l.broke, 0);
  return {
    ...batchShare(
      librarySprouts(kind),
      looks.map((l) => ({ k: l.broke, n: l.cut })),
    ),
    shoots: broke === 0 ? null : counted.reduce((n, l) => n + l.shoots!, 0) / broke,
    stems: looks.reduce((n, l) => n + l.cut, 0),
  };
}
