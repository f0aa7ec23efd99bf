import {
  along,
  lengthOf,
  lineOf,
  upTo,
  type Root,
  type RootPoint,
  type RootRecord,
  type Spot,
} from './record.ts';
import { choicesOf, crossingsOf, type Choice, type Terms } from './choices.ts';
import { scoreOf, type Score } from './objective.ts';

const pointAt = ({ x, y }: Spot): RootPoint => ({
  azimuth: ((Math.atan2(x, y) * 180) / Math.PI + 360) % 360,
  out: Math.hypot(x, y),
});

/** A root as a choice leaves it; null where nothing of it stays. Pulled apart, it is two. */
function left(root: Root, choice: Choice, trunk: number): Root[] {
  if (choice.length <= 0) return [];
  const line = lineOf(root, trunk, choice.turn);
  const whole = lengthOf(line);
  const short = choice.length < whole - 0.5;
  const path = short ? upTo(line, choice.length).slice(1).map(pointAt) : line.slice(1).map(pointAt);
  const kept: Root = {
    ...root,
    azimuth: (root.azimuth + choice.turn + 360) % 360,
    angle: root.angle + choice.bend,
    path,
    fibre: root.fibre === null || whole === 0 ? root.fibre : (root.fibre * choice.length) / whole,
    forks: root.forks.filter((f) => f.at <= choice.length),
    // cut short of what it lay over, or led away from it
    faults: root.faults.filter((f) => f !== 'strangling' || choice.strangles),
  };
  if (choice.action !== 'split') return [kept];
  const share = 1 / choice.arms.length;
  return choice.arms.map((arm, i) => ({
    ...kept,
    id: `${root.id}${'ab'[i]}`,
    azimuth: (arm.azimuth + 360) % 360,
    diameter: root.diameter * Math.sqrt(share),
    fibre: kept.fibre === null ? null : kept.fibre * share,
    path: path.map((p) => ({ azimuth: p.azimuth + (arm.azimuth - root.azimuth), out: p.out })),
    forks: [],
  }));
}

/** The record as it stands after a plan of cuts. */
export const applied = (record: RootRecord, choices: readonly Choice[]): RootRecord => ({
  ...record,
  escaped: false,
  roots: record.roots.flatMap((r, i) => left(r, choices[i], record.trunk)),
});

/** Growth of a root's thickness in a season, against the free ring of the trunk. Common practice, no source. */
const ROOT_RING = 0.12;
/** A root grows outward by so many trunks in a season, and forks where it was cut. Common practice, no source. */
const OUTWARD = 0.5;

/** How roots may stand after so many seasons in a container: longer ones thicken faster, all lengthen. */
export function regrown(record: RootRecord, seasons: number, ring: number): RootRecord {
  const lengths = record.roots.map((r) => lengthOf(lineOf(r, record.trunk)));
  const mean = lengths.reduce((a, b) => a + b, 0) / Math.max(1, lengths.length);
  const trunk = record.trunk + 0.5 * ring * seasons;
  return {
    ...record,
    trunk,
    roots: record.roots.map((root, i) => {
      if (root.faults.includes('dead')) return root;
      const pull = Math.min(1.5, Math.max(0.5, lengths[i] / Math.max(1, mean)));
      const line = lineOf(root, record.trunk);
      const end = along(line, lengths[i]);
      const grown = OUTWARD * record.trunk * seasons;
      const tip = {
        x: end.spot.x + grown * Math.sin((end.azimuth * Math.PI) / 180),
        y: end.spot.y + grown * Math.cos((end.azimuth * Math.PI) / 180),
      };
      return {
        ...root,
        diameter: root.diameter + 2 * ROOT_RING * ring * seasons * pull,
        path: [...root.path, pointAt(tip)],
        fibre: root.fibre === null ? null : root.fibre + root.diameter ** 1.5 * 0.5 * seasons,
      };
    }),
  };
}

/** The score of a record as it stands, everything kept. */
export function standingScore(record: RootRecord, terms: Terms): Score {
  const choices = choicesOf(record, { ...terms, only: ['keep'], overruled: undefined }).map((cs) => cs[0]);
  return scoreOf(choices, record, crossingsOf(record));
}

/** Points at which a base counts as fifty of a hundred, and how many more make a clear step. Our own scale. */
const MIDDLE = -3;
const STEP = 3.5;
const STRANGLED = 5;
const CROSSED = 2;

/** A score as a number from 0 to 100, for comparing dates; what strangles and crosses is taken off. Our own scale. */
export const ofHundred = ({ strangling, crossing, points }: Score): number =>
  Math.max(
    0,
    Math.round(100 / (1 + Math.exp((MIDDLE - points) / STEP)) - STRANGLED * strangling - CROSSED * crossing),
  );
