import { lengthOf, stemAt, type StemPart, type StemRecord } from '../stem/index.ts';
import type { GrowthGroup } from '../taxa/index.ts';
import { bearsStrain, tightest } from './recipe.ts';

/** A shoot that is wired up into the new line, in place of cutting and waiting for one to grow there. */
export interface BentIn {
  part: StemPart;
  /** degrees it has to turn to go on as the stem does */
  turn: number;
  /** mm: the radius of that turn, and the tightest its wood bears */
  radius: number;
  bears: number;
  /** it bears the turn within its own lower part */
  goes: boolean;
  /** how thick it is against the stem where it stands, 0..1: the step that will be seen for years */
  against: number;
}

/** The turn is made within so much of a shoot, from its foot. Common practice, no source. */
const WITHIN = 0.4;
/** A leader goes on a little off the upright. Common practice, no source. */
const LEANS = 75;
/** Rise of a shoot that nobody looked at, degrees. */
const USUAL_RISE = 45;
/** A shoot is of this year's or last year's wood, a branch of more. Common practice, no source. */
const YEARS = { shoot: 1, branch: 3 } as const;

/**
 * How a shoot could be bent into the line of the stem: it turns from its own rise to nearly upright over its lower part,
 * at a radius its wood bears or not (half its thickness by the radius is the strain of its outer wood). Null for what has
 * no wood to bend.
 *
 * @example bendIn(record, shoot, 'pine') // { turn: 30, radius: 92, bears: 17, goes: true, … }
 */
export function bendIn(record: StemRecord, part: StemPart, group: GrowthGroup): BentIn | null {
  if (part.kind !== 'shoot' && part.kind !== 'branch') return null;
  const turn = Math.max(0, LEANS - (part.rise ?? USUAL_RISE));
  const bears = tightest(part.diameter, bearsStrain(group, YEARS[part.kind]));
  const radius = turn === 0 ? Infinity : (WITHIN * lengthOf(part)) / ((turn * Math.PI) / 180);
  return {
    part,
    turn,
    radius,
    bears,
    goes: radius >= bears,
    against: Math.min(1, part.diameter / stemAt(record, part.height)),
  };
}
