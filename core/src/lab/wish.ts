import { GROWTH_GROUPS } from '../../data/growth-groups.ts';
import { METHODS } from '../../data/thickening.ts';
import { container, hasContainer, roomPerPlant } from '../containers/index.ts';
import { cp } from '../params/index.ts';
import type { LabAct, LabCourse, LabStart } from './types.ts';

/** A course as a grower asks for it. */
export interface Wish {
  name: string;
  /** containers it moves into, each in the spring of a year */
  pots: readonly { year: number; container: string }[];
  /** how hard its shoots are cut back every winter */
  prune: keyof typeof PRUNED;
  sacrifice: { from: number; to: number; height: number; foliage: number } | null;
  chop: { year: number; height: number } | null;
  /** scars are carved into features a year after they are made, instead of waiting until they shut */
  carve?: boolean;
  /** ways of thickening kept up from the first spring on */
  methods: readonly string[];
}

/** Seasons a course is followed for. */
export const SEASONS = 10;

/** Share of the crown that goes in a winter. Common practice, no source. */
export const PRUNED = { none: 0, lightly: 0.3, hard: 0.6 } as const;
/** Root that goes at a move, and at lifting from the ground. */
export const ROOT_AT_MOVE = cp(0.3, 'of the root');
export const ROOT_AT_LIFTING = cp(0.5, 'of the root');
/** Stems are not looked at beyond this, mm. */
const TALLEST = 5000;
const THICKEST = 1000;

/** What is wrong with a wish, and where. */
export interface WishFault {
  field: string;
  text: string;
}

export function faultsOf(w: Wish, start: LabStart, seasons: number): WishFault[] {
  const faults: WishFault[] = [];
  const last = start.year + seasons - 1;
  const inTime = (field: string, year: number) => {
    if (!(Number.isInteger(year) && year >= start.year && year <= last))
      faults.push({ field, text: `is not a year from ${start.year} to ${last}` });
  };
  const high = (field: string, mm: number) => {
    if (!(mm >= 10 && mm <= TALLEST)) faults.push({ field, text: `is not from 10 to ${TALLEST} mm` });
  };
  for (const [i, p] of w.pots.entries()) {
    inTime(`pots[${i}].year`, p.year);
    if (!hasContainer(p.container)) faults.push({ field: `pots[${i}].container`, text: 'is no container' });
  }
  if (w.chop) {
    inTime('chop.year', w.chop.year);
    high('chop.height', w.chop.height);
  }
  if (w.sacrifice) {
    const { from, to, height, foliage } = w.sacrifice;
    inTime('sacrifice.from', from);
    inTime('sacrifice.to', to);
    if (to <= from) faults.push({ field: 'sacrifice.to', text: 'is not after the year it begins' });
    high('sacrifice.height', height);
    if (!(foliage >= 0.05 && foliage <= 2))
      faults.push({ field: 'sacrifice.foliage', text: 'is not from 5 to 200 %' });
    if (w.chop && w.chop.year < to && w.chop.height <= height)
      faults.push({ field: 'sacrifice.height', text: 'would be cut away by the chop below it' });
  }
  for (const m of w.methods)
    if (!METHODS.some((k) => k.id === m)) faults.push({ field: 'methods', text: `knows no “${m}”` });
    else if (!bornBy(m, start))
      faults.push({ field: 'methods', text: `has “${m}”, which only a ${groupOf(m)} bears` });
  return faults;
}

const groupOf = (method: string): string => {
  const only = METHODS.find((m) => m.id === method)?.only;
  return only ? GROWTH_GROUPS[only].name : '';
};

/** Whether a plant bears a way of thickening: some are for one group alone. */
export const bornBy = (method: string, start: LabStart): boolean =>
  groupOf(method) === '' || groupOf(method) === start.tolerance.name;

/** What is wrong with a goal; null: nothing. */
export function goalFault(mm: number, start: LabStart): string | null {
  if (!(mm > 0 && mm <= THICKEST)) return `is not from 1 to ${THICKEST} mm`;
  return mm <= start.caliper ? `is no more than the ${Math.round(start.caliper)} mm of today` : null;
}

/** A wish put into acts, year by year, in the order they are done in a spring. */
export function courseOf(id: string, w: Wish, start: LabStart, seasons: number): LabCourse {
  const acts: LabAct[] = w.methods.map((m) => ({ year: start.year, do: 'method', id: m, on: true }));
  let { wall } = start;
  for (const p of w.pots.toSorted((a, b) => a.year - b.year)) {
    const kind = container(p.container);
    const rootCut = wall === 'ground' ? ROOT_AT_LIFTING.value : ROOT_AT_MOVE.value;
    acts.push({
      year: p.year,
      do: 'move',
      litres: kind.wall === 'ground' ? null : roomPerPlant(kind, 1),
      wall: kind.wall,
      rootCut,
      name: kind.name,
    });
    wall = kind.wall;
  }
  if (w.chop) acts.push({ ...w.chop, do: 'chop' });
  if (w.sacrifice) {
    const { from, to, height, foliage } = w.sacrifice;
    acts.push({ year: from, do: 'sacrifice', id: 'sacrifice', height, foliage });
    acts.push({ year: to, do: 'off', id: 'sacrifice' });
  }
  if (w.carve) {
    if (w.chop) acts.push({ year: w.chop.year + 1, do: 'carve', id: 'chop' });
    if (w.sacrifice) acts.push({ year: w.sacrifice.to + 1, do: 'carve', id: 'sacrifice' });
  }
  if (w.prune !== 'none')
    for (let year = start.year; year < start.year + seasons; year++)
      acts.push({ year, do: 'prune', share: PRUNED[w.prune] });
  return { id, name: w.name, acts };
}
