import { SLENDERNESS } from '../trunk/index.ts';
import { forecast } from './run.ts';
import type { LabStart } from './types.ts';
import { courseOf, type Wish } from './wish.ts';

/** Schools of ground years: core/data/schools.ts. */
export interface RowSchools {
  /** 'second-year': lifted every second year; 'left': left until thick enough */
  lift: string;
  /** 'yearly': cut back hard each winter; 'left': left alone */
  cut: string;
}

/** Years in the ground before the row is lifted for good. Common practice, no source. */
const YEARS = { 'second-year': 6, left: 5 } as const;
/** Height of the first cut at lifting, mm. Common practice, no source. */
const CHOP_AT = 150;

/** Years in the ground as the schools have it, and a basket after. */
export function rowWish({ year }: LabStart, { lift, cut }: RowSchools): Wish {
  const second = lift === 'second-year';
  const out = year + YEARS[second ? 'second-year' : 'left'];
  const again = second ? [2, 4].map((n) => ({ year: year + n, container: 'ground' })) : [];
  return {
    name: second ? 'Ground row, lifted every second year' : 'Ground row on a tile',
    pots: [{ year, container: 'ground' }, ...again, { year: out, container: 'basket-32' }],
    prune: cut === 'left' ? 'none' : 'hard',
    sacrifice: null,
    chop: { year: out, height: CHOP_AT },
    methods: ['tile'],
  };
}

/** How wide a crown is against its height: upright kinds left alone, and cut back each winter. Common practice, no source. */
const CROWN = { left: 0.4, yearly: 0.55 } as const;
/** What is cut back each winter grows so much again in a season, of its free height. Common practice, no source. */
const REGROWS = 0.45;
/** A spade and two hands want so much between plants, mm. Common practice, no source. */
const LEAST = 250;
/** A tile lies so deep below the roots, and is so many trunks wide. Common practice, no source. */
const TILE_DEEP = [40, 60] as const;
const TILE_WIDE = 4;

/** A row laid out. */
export interface RowPlan {
  /** between plants, mm, and between rows, for a path */
  spacing: number;
  rows: number;
  /** in so many metres of row */
  plants: number;
  /** mm at the base when it is lifted: one run in ten less, the middle, one in ten more */
  lifted: { year: number; p10: number; p50: number; p90: number };
  /** below the roots, mm, and how wide, mm */
  tile: { deep: readonly [number, number]; wide: number };
  /** what to know of it, in words */
  words: string[];
}

/** Between rows two people pass with a barrow, mm. Common practice, no source. */
const PATH = 500;
const RUNS = 200;

/**
 * How a row in the ground is laid out: so far apart that crowns just meet when it is lifted, on tiles wide enough for
 * the base by then. `metres`: of row there is.
 */
export function rowPlan(start: LabStart, schools: RowSchools, metres: number): RowPlan {
  const wish = rowWish(start, schools);
  const out = wish.pots.at(-1)!.year;
  const seasons = out - start.year;
  const { band } = forecast(start, courseOf('row', wish, start, seasons), seasons, RUNS);
  const last = band[band.length - 1];
  const yearly = schools.cut !== 'left';
  const free = SLENDERNESS.value * last.p50;
  const crown = yearly ? free * REGROWS * CROWN.yearly : free * CROWN.left;
  const spacing = Math.max(LEAST, Math.round(crown / 50) * 50);
  const words = [
    yearly
      ? 'Cut back hard each winter: more taper and buds low down, less girth, plants stand closer.'
      : 'Left alone: the most girth in the fewest years, long internodes, and a large cut at the end.',
    schools.lift === 'second-year'
      ? 'Lifted every second year: roots stay near the trunk, each lifting costs about a season.'
      : 'Left until it is lifted for good: roots run far, half of them go at once, and the winter after is the dangerous one.',
    'Roots that run under or around the tile feed the tree most and go first at lifting.',
  ];
  return {
    spacing,
    rows: spacing + PATH,
    plants: Math.floor((metres * 1000) / spacing) + 1,
    lifted: last,
    tile: { deep: TILE_DEEP, wide: Math.max(100, Math.round((TILE_WIDE * last.p50) / 10) * 10) },
    words,
  };
}
