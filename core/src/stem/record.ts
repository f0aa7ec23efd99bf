import type { IsoDate } from '../calendar/index.ts';
import { TIP } from '../lab/index.ts';

/** What stands on a stem, as a grower names it. A sacrifice is a shoot that is left to grow for the trunk's sake. */
export const STEM_PARTS = ['bud', 'shoot', 'branch', 'sacrifice', 'stub'] as const;
export type StemPartKind = (typeof STEM_PARTS)[number];

/** Whom a sacrifice serves: the trunk, roots on its own side, or the base of the next layer. */
export const FEEDS = ['trunk', 'roots', 'layer'] as const;
export type Feeds = (typeof FEEDS)[number];

/** What a living part is to become. */
export const ROLES = ['leader', 'first', 'back', 'reserve', 'undecided'] as const;
export type Role = (typeof ROLES)[number];
export const ROLE_WORDS: Readonly<Record<Role, string>> = {
  leader: 'leads',
  first: 'first branch',
  back: 'back branch',
  reserve: 'in reserve',
  undecided: 'not decided',
};

/** How low buds and shoots do. */
export const VITALITIES = ['strong', 'weak', 'asleep'] as const;
export type Vitality = (typeof VITALITIES)[number];

/** One thing on a stem. */
export interface StemPart {
  id: string;
  kind: StemPartKind;
  /** mm above the soil */
  height: number;
  /** side it stands on, degrees clockwise from the compass mark */
  azimuth: number;
  /** mm where it leaves the stem; 0 for a bud */
  diameter: number;
  /** of a sacrifice: the day it was let go, and the crown it may come to, of a natural one */
  since: IsoDate | null;
  foliage: number | null;
  /** of a sacrifice; not given on one that was drawn before this was asked: the trunk */
  feeds?: Feeds | null;
  /** what it is to become; not given: nothing was said */
  role?: Role | null;
  /** degrees it rises above the horizontal where it leaves the stem, −90 to 120; above 90 it goes back to the stem */
  rise?: number | null;
  vitality?: Vitality | null;
  /** mm along it, from the stem to its tip; not given: by its thickness */
  long?: number | null;
  note: string;
}

/** A shoot or branch that nobody measured is so many times as long as it is thick. Common practice, no source. */
const SLENDER = 40;
/** How long a part is, mm. @example lengthOf({ ...branch, diameter: 4, long: null }) // 160 */
export const lengthOf = (p: StemPart): number => p.long ?? SLENDER * p.diameter;

/** The stem of one plant as it was seen on a day. */
export interface StemRecord {
  /** mm at the base */
  base: number;
  /** mm, to the tip */
  height: number;
  /** direction the front looks to, degrees */
  front: number;
  /** calipers taken higher up: where, and how thick, mm */
  girths: { at: number; mm: number }[];
  parts: StemPart[];
}

/**
 * Thickness of the stem at a height, mm: between the calipers that were taken, and a cone from the last of them to the
 * tip.
 *
 * @example stemAt({ base: 20, height: 400, front: 180, girths: [], parts: [] }, 200) // 10.75
 */
export function stemAt(record: StemRecord, height: number): number {
  const known = [
    { at: 0, mm: record.base },
    ...record.girths.filter((g) => g.at > 0 && g.at < record.height).toSorted((a, b) => a.at - b.at),
    { at: record.height, mm: TIP },
  ];
  if (height >= record.height) return TIP;
  const above = known.findIndex((k) => k.at >= Math.max(height, 1e-9));
  const [from, to] = [known[above - 1], known[above]];
  return from.mm + ((height - from.at) / (to.at - from.at)) * (to.mm - from.mm);
}

/** What can lead after a cut: alive, and grown or growing. */
export const isAlive = (p: StemPart): boolean => p.kind !== 'stub';
/** What has leaves of its own. */
export const isShoot = (p: StemPart): boolean => isAlive(p) && p.kind !== 'bud';

/** Degrees between two sides, 0..180. */
export const sideBetween = (a: number, b: number): number => Math.abs(((((a - b) % 360) + 540) % 360) - 180);

const COMPASS = ['N', 'NE', 'E', 'SE', 'S', 'SW', 'W', 'NW'];
/** A side of the plant by the mark on its pot: "SE". */
export const sideWords = (azimuth: number): string =>
  COMPASS[Math.round((((azimuth % 360) + 360) % 360) / 45) % 8];

/** How a part is named: "the branch at 120 mm, SE, 4 mm". */
export function partWords(p: StemPart): string {
  const side = sideWords(p.azimuth);
  const thick = p.kind === 'bud' ? '' : `, ${Math.round(p.diameter * 10) / 10} mm`;
  return `${p.kind} at ${Math.round(p.height)} mm, ${side}${thick}`;
}

export interface StemFault {
  field: string;
  text: string;
}

/** What cannot be of a stem, by field; none where it can. Ranges of single figures are checked before. */
export function stemFaults(record: StemRecord): StemFault[] {
  const faults: StemFault[] = [];
  record.parts.forEach((p, i) => {
    const field = `parts[${i}]`;
    if (p.height > record.height)
      faults.push({ field: `${field}.height`, text: `is above the tip, ${record.height} mm` });
    if (p.kind === 'bud' && p.diameter > 0)
      faults.push({ field: `${field}.diameter`, text: 'is 0 for a bud' });
    if (p.kind !== 'bud' && p.diameter <= 0) faults.push({ field: `${field}.diameter`, text: 'is above 0' });
    if ((p.kind === 'bud' || p.kind === 'stub') && p.long)
      faults.push({ field: `${field}.long`, text: 'is told of shoots and branches alone' });
    if (p.kind === 'stub' && (p.role || p.vitality))
      faults.push({ field: `${field}.role`, text: 'is told of what lives alone' });
    if (p.kind !== 'sacrifice' && (p.since !== null || p.foliage !== null || p.feeds))
      faults.push({ field: `${field}.since`, text: 'is told of sacrifices alone' });
  });
  record.girths.forEach((g, i) => {
    if (g.at <= 0 || g.at >= record.height)
      faults.push({
        field: `girths[${i}].at`,
        text: `is not between the soil and the tip, ${record.height} mm`,
      });
    if (g.mm > record.base * 1.5)
      faults.push({ field: `girths[${i}].mm`, text: `is far above the base, ${record.base} mm` });
  });
  const leaders = record.parts.filter((p) => p.role === 'leader').length;
  if (leaders > 1) faults.push({ field: 'parts', text: 'have more than one that leads' });
  const names = new Set(record.parts.map((p) => p.id));
  if (names.size < record.parts.length) faults.push({ field: 'parts', text: 'name one part twice' });
  return faults;
}
