import { random } from '../../src/random/index.ts';
import type { Fault, Root, RootRecord } from '../../src/roots/record.ts';

/** A record of so many roots as they may be found, the same for the same seed; `crossing` pairs lie across each other. */
export function randomRecord(seed: number, n: number, crossing = 0): RootRecord {
  const rnd = random(seed);
  const trunk = 15 + 30 * rnd.next();
  const roots: Root[] = Array.from({ length: n }, (_, i) => {
    const azimuth = 360 * rnd.next();
    const long = trunk * (0.6 + 3 * rnd.next());
    const faults: Fault[] = [];
    const luck = rnd.next();
    if (luck < 0.05) faults.push('dead');
    else if (luck < 0.12) faults.push('strangling');
    else if (luck < 0.2) faults.push('circling');
    else if (luck < 0.27) faults.push('ugly');
    const angle = rnd.next() < 0.12 ? 80 : -10 + 60 * rnd.next();
    const forks =
      rnd.next() < 0.3
        ? [{ at: trunk * rnd.next(), turn: rnd.next() < 0.5 ? -30 : 30, length: 30, diameter: 3 }]
        : [];
    return {
      id: `r${i}`,
      azimuth,
      diameter: 1 + 11 * rnd.next() ** 2,
      height: (rnd.next() - 0.5) * trunk * 0.6,
      angle,
      fibre: rnd.next() < 0.5 ? null : 10 * rnd.next(),
      path: [{ azimuth, out: trunk / 2 + long }],
      forks,
      faults,
      note: '',
    };
  });
  // swung so far that they lie over the neighbour
  for (let i = 0; i < crossing; i++) {
    const root = roots[i * 2];
    const other = roots[i * 2 + 1];
    other.azimuth = (i * 360) / crossing + 20;
    root.azimuth = (i * 360) / crossing;
    other.path = [{ azimuth: other.azimuth, out: trunk * 3 }];
    root.path = [
      { azimuth: root.azimuth, out: trunk },
      { azimuth: root.azimuth + 45, out: trunk * 1.6 },
    ];
  }
  return { trunk, front: 180, under: null, profile: null, escaped: false, pests: '', roots };
}
