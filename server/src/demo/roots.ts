import { NOTHING_DECIDED } from '@gonimos/contract/roots-decided';
import type { NewRootRecord } from '@gonimos/contract/root-records';
import type { Fault, Root } from '@gonimos/core/roots';
import { turnTo } from '@gonimos/core/stats';
import { addDrawing } from '../drawings/service.ts';
import { cohortId, named, type Chapter } from './hand.ts';

/** A root as it was noted: name, direction °, thickness, length, height and slope; bends outward to a direction. */
type Noted = [
  id: string,
  azimuth: number,
  diameter: number,
  long: number,
  height: number,
  angle: number,
  more?: { to?: number; fault?: Fault; fibre?: number; note?: string; fork?: true },
];

const rootOf = (trunk: number, [id, azimuth, diameter, long, height, angle, more = {}]: Noted): Root => {
  const end = { azimuth: more.to ?? azimuth, out: trunk / 2 + long };
  const middle = {
    azimuth: (azimuth + 0.3 * turnTo(azimuth, end.azimuth) + 360) % 360,
    out: trunk / 2 + long * 0.55,
  };
  return {
    id,
    azimuth,
    diameter,
    height,
    angle,
    fibre: more.fibre ?? null,
    path: more.to === undefined ? [end] : [middle, end],
    forks: more.fork
      ? [{ at: Math.round(trunk * 0.5), turn: 32, length: Math.round(long * 0.5), diameter: diameter * 0.7 }]
      : [],
    faults: more.fault ? [more.fault] : [],
    note: more.note ?? '',
  };
};

interface Look {
  on: string;
  trunk: number;
  roots: Noted[];
  more?: Partial<NewRootRecord['record']>;
  note?: string;
}

interface Drawn {
  code: string;
  label: string;
  front: number;
  looks: Look[];
}

/** Three plants over the years: one with work left for this spring, one on a board, one nearly there. */
const DRAWN: readonly Drawn[] = [
  {
    code: 'FM-30',
    label: 'no. 7',
    front: 180,
    looks: [
      {
        on: '2033-03-08',
        trunk: 14,
        more: { profile: { top: 0.25, middle: 0.5, bottom: 1 }, escaped: true },
        roots: [
          ['a', 15, 2.2, 40, 2, 12],
          ['b', 62, 1.4, 30, -1, 8],
          ['d', 205, 3.4, 52, 0, 14],
          ['e', 212, 2.4, 44, 7, 4],
          ['f', 300, 6.5, 70, 1, 10],
          ['t', 140, 5.5, 80, 0, 84],
          ['s', 330, 2.2, 46, 4, 0, { to: 40, fault: 'strangling' }],
        ],
      },
      {
        on: '2035-03-11',
        trunk: 22,
        roots: [
          ['a', 15, 3.8, 55, 2, 10],
          ['b', 62, 2.4, 42, -1, 8],
          ['c', 118, 1.6, 34, 0, 6, { to: 132 }],
          ['d', 205, 4.6, 58, 0, 12, { fork: true }],
          ['e', 212, 3.6, 52, 8, 4, { note: 'upper of two: off once d has thickened' }],
          ['f', 300, 8, 46, 1, 10],
          ['u', 150, 3, 44, 0, 80],
        ],
      },
      {
        on: '2037-03-05',
        trunk: 31,
        more: { profile: { top: 0.25, middle: 0.75, bottom: 1 } },
        note: 'Solid under the rim, loose above.',
        roots: [
          ['a', 15, 6.2, 62, 2, 10, { fork: true }],
          ['b', 62, 4, 52, -1, 8],
          ['c', 118, 3.2, 60, 0, 6, { to: 134 }],
          ['d', 205, 6.8, 58, 0, 12, { fork: true }],
          ['e', 212, 5.2, 55, 7, 4, { note: 'upper of two: off once d has thickened' }],
          ['f', 300, 11, 88, 1, 10, { fibre: 20 }],
          ['g', 252, 3.2, 46, -2, 14],
          ['h', 335, 3.6, 50, 1, 8],
          ['u', 160, 4.2, 50, 0, 82],
          ['s', 348, 3, 52, 5, 0, { to: 28, fault: 'strangling', fibre: 2 }],
        ],
      },
    ],
  },
  {
    code: 'HB-33',
    label: 'on its board',
    front: 90,
    looks: [
      {
        on: '2034-03-12',
        trunk: 7,
        roots: [
          ['a', 20, 1.6, 24, 0, 18],
          ['b', 48, 1.2, 20, 1, 20],
          ['c', 190, 2.2, 30, -1, 24],
          ['d', 220, 1, 18, 2, 10],
          ['t', 90, 3.2, 60, 0, 86],
        ],
      },
      {
        on: '2035-03-15',
        trunk: 11,
        more: { under: { kind: 'board', size: 60, depth: 2 } },
        roots: [
          ['a', 5, 2.4, 34, 0, 6],
          ['b', 64, 2, 32, 0, 6],
          ['c', 190, 3, 36, 0, 8],
          ['d', 250, 1.8, 30, 1, 6],
          ['e', 130, 1.2, 24, 0, 4],
        ],
      },
      {
        on: '2036-03-16',
        trunk: 16,
        more: { under: { kind: 'board', size: 60, depth: 2 } },
        roots: [
          ['a', 5, 3.6, 46, 0, 5, { fork: true }],
          ['b', 66, 3, 44, 0, 5],
          ['c', 190, 4.2, 48, 0, 6],
          ['d', 250, 3, 42, 0, 5],
          ['e', 130, 2.4, 40, 0, 4],
          ['f', 308, 2, 36, 0, 4],
        ],
      },
    ],
  },
  {
    code: 'CC-32',
    label: 'no. 3',
    front: 200,
    looks: [
      {
        on: '2033-03-20',
        trunk: 8,
        roots: [
          ['a', 30, 2, 30, 0, 20],
          ['b', 160, 3.4, 44, 3, 6],
          ['c', 175, 2.6, 36, -2, 30],
          ['t', 270, 3, 50, 0, 82],
        ],
      },
      {
        on: '2034-03-18',
        trunk: 12,
        roots: [
          ['a', 30, 3, 40, 0, 14],
          ['b', 160, 3.8, 30, 2, 6],
          ['d', 255, 2, 34, 0, 8],
          ['e', 320, 1.6, 28, 0, 10],
        ],
      },
      {
        on: '2036-03-14',
        trunk: 17,
        roots: [
          ['a', 30, 4.2, 50, 0, 10],
          ['b', 160, 4.4, 44, 1, 6],
          ['d', 255, 3.6, 46, 0, 8],
          ['e', 320, 3.2, 44, 0, 8],
          ['f', 95, 2.6, 40, 0, 8],
          ['g', 208, 2.4, 38, 0, 8],
        ],
      },
    ],
  },
  {
    code: 'FM-32',
    label: 'no. 2',
    front: 170,
    looks: [
      {
        on: '2036-03-20',
        trunk: 17,
        more: { under: { kind: 'rock', size: 150, depth: 2 } },
        roots: [
          ['a', 20, 5.6, 62, -2, 54],
          ['b', 95, 6.4, 70, 0, 56],
          ['c', 170, 7.2, 66, -2, 52],
          ['d', 245, 6, 60, -1, 55],
          ['e', 320, 2.6, 48, -1, 58, { note: 'thin face: a shoot above it is left to feed it' }],
        ],
        note: 'on the long stone, five roots down its folds',
      },
    ],
  },
];

/** Roots that were drawn over the years. */
export const roots: Chapter = () =>
  DRAWN.flatMap(({ code, label, front, looks }) =>
    looks.map(({ on, trunk, roots: noted, more, note = '' }) => ({
      on,
      by: 'Ines Tessary' as const,
      act: (w) =>
        addDrawing(w, 'root_record', {
          id: named(`roots of ${code} ${label} ${on}`),
          cohortId: cohortId(code),
          label,
          on,
          note,
          decided: NOTHING_DECIDED,
          record: {
            trunk,
            front,
            under: null,
            profile: null,
            escaped: false,
            pests: '',
            roots: noted.map((r) => rootOf(trunk, r)),
            ...more,
          },
        }),
    })),
  );
