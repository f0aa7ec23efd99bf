import { toDay, toIso, type IsoDate } from '../calendar/index.ts';
import { operation } from '../operations/index.ts';
import { firstStep, type Programme } from '../programmes/index.ts';
import type { SeasonBook } from '../season/book.ts';
import { unsuited } from '../season/suited.ts';
import { coldMissing, seedNeeds, tooOld } from '../seed/index.ts';
import { EASE, type Taxon } from '../taxa/index.ts';
import { beginningOf, rootingEase } from './survival.ts';

/** Something a grower should hear before a start is entered; grave where it would come to nothing. */
export interface Remark {
  code: 'unsuited' | 'hardly-roots' | 'roots-seldom' | 'stuck-in-leaf' | 'cold-missing' | 'too-old';
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
  const first = operation(firstStep(p).operation);
  if (!LEAFLESS.has(first.id) || t.phenology === 'warm-season') return [];
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
          ? `Seed of ${t.name} does not keep, and this lot is ${years} year${years === 1 ? '' : 's'} old: expect little of it`
          : `Seed of ${t.name} keeps about ${t.keeps.value} years, and this lot is ${years} old: test it before you count on it`,
    });
  // sown after midsummer it lies in the cold of the winter that comes
  const spring = day - book.span(book.seasonOf(day)).from < 171;
  const missing = spring ? coldMissing(needs, lot?.toColdOn ? toDay(lot.toColdOn) : null, day) : 0;
  if (missing > 0 && needs.kind === 'stratified')
    remarks.push({
      code: 'cold-missing',
      grave: missing > needs.cold.value / 2,
      text: `Seed of ${t.name} wants ${needs.warm ? `${needs.warm.value} warm days, then ` : ''}${needs.cold.value} cold ones before it grows; ${missing} are missing on {${startedOn}}: most of it comes up a year later, or not`,
    });
  return remarks;
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
