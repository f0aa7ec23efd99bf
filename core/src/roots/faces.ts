import type { RootRecord } from './record.ts';

/** Sides of what a plant sits on, as they are seen from the front. */
export const FACES = ['front', 'right', 'back', 'left'] as const;

/** One side of a rock, and the roots that run down it. */
export interface Face {
  name: (typeof FACES)[number];
  roots: string[];
  /** of the cross-section of all roots, 0..1 */
  share: number;
  /** how it is held: bare where no root runs, thin where what runs carries little */
  held: 'well' | 'thin' | 'bare';
}

/** A side with less than this of the cross-section is held thinly. Common practice, no source. */
const THIN = 0.12;

/** The side a direction lies on: a quarter each, the front around where the front looks to. */
const faceOf = (azimuth: number, front: number): (typeof FACES)[number] => {
  // seen by who stands before the front, the right hand is on the side of lower directions
  const turned = (((front - azimuth) % 360) + 360 + 45) % 360;
  return FACES[Math.floor(turned / 90)];
};

/**
 * Sides of the rock a plant sits on, each with the roots that hold it: bulk is grown only to feed roots on each of them,
 * so a thin one wants a shoot above it. Null where it sits on no rock.
 */
export function facesOf(record: RootRecord): Face[] | null {
  if (record.under?.kind !== 'rock') return null;
  const all = record.roots.reduce((n, r) => n + r.diameter ** 2, 0);
  return FACES.map((name) => {
    const there = record.roots.filter((r) => faceOf(r.path.at(-1)!.azimuth, record.front) === name);
    const share = all === 0 ? 0 : there.reduce((n, r) => n + r.diameter ** 2, 0) / all;
    const held = there.length === 0 ? 'bare' : share < THIN ? 'thin' : 'well';
    return { name, roots: there.map((r) => r.id), share, held };
  });
}
