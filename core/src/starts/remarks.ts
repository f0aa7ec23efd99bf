import { plural } from '../words/index.ts';
import { toDay, toIso, type IsoDate } from '../calendar/index.ts';
import { workOf } from '../operations/index.ts';
import { firstStep, type Programme } from '../programmes/index.ts';
import type { SeasonBook } from '../season/book.ts';
import { unsuited } from '../season/suited.ts';
import { chilledBy, coldMissing, seedNeeds, sownInSpring, tooLittle, tooOld } from '../seed/index.ts';
import { EASE, type Taxon } from '../taxa/index.ts';
import { beginningOf, rootingEase } from './survival.ts';

/** Something a grower should hear before a start is entered; grave where it would come to nothing. */
export interface Remark {
  code:
    | 'unsuited'
    | 'hardly-roots'
    | 'roots-seldom'
    | 'stuck-in-leaf'
    | 'cold-missing'
    | 'cold-not-known'
    | 'too-old'
    | 'no-common-opening'
    | 'pot-proposed';
  grave: boolean;
  /** dates in it are written {YYYY-MM-DD} */
  text: string;
}

/** What is known of the seed that is sown. */
export interface LotKnown {
  harvested: IsoDate;
  /** when it was put to cold; null: never */
  toColdOn: IsoDate | null;
}

const LEAFLESS = new Set(['stick-hardwood', 'hardwood-in-water']);
const WOOD = {
  softwood: 'softwood cuttings',
  'semi-ripe': 'semi-ripe cuttings',
  hardwood: 'hardwood cuttings',
  root: 'root cuttings',
  water: 'cuttings in water',
  layer: 'a layer',
} as const;

function ofRooting(p: Programme, t: Taxon): Remark[] {
  const beginning = beginningOf(p);
  const ease = rootingEase(t, beginning);
  if (ease !== 'hardly' && ease !== 'hard') return [];
  const share = Math.round(100 * (beginning === 'layer' ? EASE[ease].layers : EASE[ease].cuttings).value);
  const what = WOOD[beginning as keyof typeof WOOD];
  const better = (Object.entries(t.roots) as [keyof typeof WOOD, keyof typeof EASE][])
    .filter(([, e]) => e === 'sure' || e === 'easy' || e === 'fair')
    .map(([kind]) => WOOD[kind]);
  const instead = better.length > 0 ? better.join(' or ') : 'seed';
  return [
    {
      code: ease === 'hardly' ? 'hardly-roots' : 'roots-seldom',
      grave: ease === 'hardly',
      text: `${t.name} ${EASE[ease].words} from ${what}, about ${share} in a hundred (common practice). ${instead[0].toUpperCase()}${instead.slice(1)} would do better`,
    },
  ];
}

function ofWood(p: Programme, t: Taxon, book: SeasonBook, startedOn: IsoDate): Remark[] {
  if (!LEAFLESS.has(workOf(firstStep(p).operation)) || t.phenology === 'warm-season') return [];
  const day = toDay(startedOn);
  const leaves = book.growing(book.seasonOf(day), t);
  if (day < leaves.from || day > leaves.to) return [];
  return [
    {
      code: 'stuck-in-leaf',
      grave: false,
      text: `Hardwood is cut leafless; on {${startedOn}} leaves are out, from {${toIso(leaves.from)}} to {${toIso(leaves.to)}}: it dries before it roots`,
    },
  ];
}

/** Seed sown in spring before its cold is over. Where no cold is told of, the plan takes it as treated, and says so. */
function ofCold(t: Taxon, book: SeasonBook, startedOn: IsoDate, lot: LotKnown | null): Remark[] {
  const day = toDay(startedOn);
  const needs = seedNeeds(t);
  if (needs.kind !== 'stratified' || !sownInSpring(book, day)) return [];
  const wants = `Seed of ${t.name} wants ${needs.warm ? `${needs.warm.value} warm days, then ` : ''}${needs.cold.value} cold ones before it grows`;
  if (!lot?.toColdOn) {
    const told = lot ? 'None is told of this lot. ' : '';
    const text = `${wants}. ${told}The dates take it as treated: untreated, most of it comes up a year later`;
    return [{ code: 'cold-not-known', grave: lot !== null, text }];
  }
  const chilled = chilledBy(toDay(lot.toColdOn), day);
  const missing = coldMissing(needs, chilled);
  if (missing === 0) return [];
  const most = tooLittle(t, chilled);
  const then = most
    ? 'most of it comes up a year later, and so say the dates'
    : 'some of it comes up a year later';
  const text = `${wants}; ${missing} are missing on {${startedOn}}: ${then}`;
  return [{ code: 'cold-missing', grave: most, text }];
}

function ofSeed(t: Taxon, book: SeasonBook, startedOn: IsoDate, lot: LotKnown | null): Remark[] {
  const remarks: Remark[] = [];
  const day = toDay(startedOn);
  const needs = seedNeeds(t);
  const years = lot ? tooOld(t, toDay(lot.harvested), day) : 0;
  if (years > 0)
    remarks.push({
      code: 'too-old',
      grave: needs.kind === 'fresh',
      text:
        needs.kind === 'fresh'
          ? `Seed of ${t.name} does not keep, and this lot is ${plural(years, 'year')} old: expect little of it`
          : `Seed of ${t.name} keeps about ${t.keeps.value} years, and this lot is ${years} old: test it before you count on it`,
    });
  return [...remarks, ...ofCold(t, book, startedOn, lot)];
}

/** What speaks against a start, or should be known of it, before it is entered. */
export function startRemarks(
  p: Programme,
  t: Taxon,
  book: SeasonBook,
  startedOn: IsoDate,
  lot: LotKnown | null = null,
): Remark[] {
  const place = unsuited(t, book);
  return [
    ...(place ? [{ code: 'unsuited' as const, grave: true, text: `${place.text}. ${place.instead}` }] : []),
    ...ofRooting(p, t),
    ...ofWood(p, t, book, startedOn),
    ...(p.method === 'seed' ? ofSeed(t, book, startedOn, lot) : []),
  ];
}
