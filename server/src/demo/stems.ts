import { NOTHING_DECIDED } from '@gonimos/contract/stem-decided';
import type { NewStemRecord } from '@gonimos/contract/stem-records';
import type { StemPart, StemPartKind } from '@gonimos/core/stem';
import { addDrawing } from '../drawings/service.ts';
import { cohortId, named, type Chapter } from './hand.ts';

/** A part as it was noted: name, what, height, side °, thickness. */
type Noted = [
  id: string,
  kind: StemPartKind,
  height: number,
  azimuth: number,
  diameter: number,
  more?: Partial<Pick<StemPart, 'since' | 'foliage' | 'feeds' | 'note'>>,
];

const partOf = ([id, kind, height, azimuth, diameter, more = {}]: Noted): StemPart => ({
  id,
  kind,
  height,
  azimuth,
  diameter,
  since: more.since ?? null,
  foliage: more.foliage ?? null,
  feeds: more.feeds ?? (kind === 'sacrifice' ? 'trunk' : null),
  long: null,
  note: more.note ?? '',
});

interface Look {
  on: string;
  base: number;
  height: number;
  girths?: NewStemRecord['record']['girths'];
  parts: Noted[];
  decided?: Partial<NewStemRecord['decided']>;
  note?: string;
}

interface Drawn {
  code: string;
  label: string;
  looks: Look[];
}

/** One piece of aluminium over two branches that are to come down. */
const wire = (part: string, other: string): NewStemRecord['decided']['wires'][number] => ({
  part,
  to: null,
  metal: 'aluminium',
  gauge: null,
  moves: 'down',
  with: other,
});

/**
 * Stems: a maple that is to be cut this spring, with two sides that may be its front, a pine with two sacrifices, a cornel whose cut is closing, one of its kin
 * whose low branch feeds its weak side, and a parent that keeps one for the next layer.
 */
const DRAWN: readonly Drawn[] = [
  {
    code: 'FM-30',
    label: 'no. 7',
    looks: [
      {
        on: '2037-03-02',
        base: 38,
        height: 1900,
        girths: [
          { at: 150, mm: 34 },
          { at: 600, mm: 24 },
        ],
        parts: [
          ['a', 'branch', 118, 95, 8],
          ['b', 'branch', 168, 262, 15],
          ['c', 'bud', 196, 120, 0],
          ['d', 'branch', 232, 40, 11],
          ['e', 'stub', 300, 300, 9, { note: 'die-back of 2035, off this spring' }],
          ['f', 'branch', 520, 80, 12],
        ],
        decided: { finished: 420, wires: [wire('a', 'd')], fronts: [310] },
        note: 'cut this spring, to b if nothing speaks against it',
      },
    ],
  },
  {
    code: 'SP-31',
    label: 'the low one',
    looks: [
      {
        on: '2036-03-05',
        base: 18,
        height: 980,
        parts: [
          ['a', 'sacrifice', 70, 100, 7, { since: '2033-05-10', foliage: 0.4 }],
          ['b', 'sacrifice', 160, 280, 5, { since: '2034-05-12', foliage: 0.5 }],
          ['c', 'shoot', 110, 250, 3],
          ['d', 'bud', 50, 110, 0],
        ],
      },
      {
        on: '2037-03-01',
        base: 22,
        height: 1200,
        parts: [
          ['a', 'sacrifice', 70, 100, 10, { since: '2033-05-10', foliage: 0.8 }],
          ['b', 'sacrifice', 160, 280, 7, { since: '2034-05-12', foliage: 0.5 }],
          ['c', 'shoot', 110, 250, 4, { note: 'keeper, wired out to the light' }],
          ['d', 'shoot', 50, 110, 2],
          ['e', 'shoot', 175, 60, 6],
        ],
        decided: { finished: 380 },
      },
    ],
  },
  {
    code: 'CC-32',
    label: 'by the tap',
    looks: [
      {
        on: '2034-03-09',
        base: 17,
        height: 900,
        parts: [
          ['a', 'branch', 130, 90, 6],
          ['b', 'bud', 90, 250, 0],
        ],
        decided: { finished: 360, cutAt: 133 },
        note: 'first cut at 133 mm, to a',
      },
      {
        on: '2036-10-28',
        base: 27,
        height: 640,
        girths: [{ at: 120, mm: 21 }],
        parts: [
          ['a', 'branch', 92, 255, 5],
          ['b', 'stub', 133, 270, 12, { note: 'cut of 2034: a third still open' }],
          ['c', 'branch', 190, 100, 6],
          ['d', 'branch', 245, 300, 5],
        ],
        decided: { finished: 360 },
      },
    ],
  },
  {
    code: 'CC-32',
    label: 'no. 3',
    looks: [
      {
        on: '2036-03-14',
        base: 19,
        height: 700,
        parts: [
          ['a', 'sacrifice', 40, 308, 3, { since: '2035-06-02', foliage: 0.4, feeds: 'roots' }],
          ['b', 'shoot', 95, 80, 2],
          ['c', 'branch', 150, 250, 3],
        ],
        note: 'a is kept for the thin roots on its side',
      },
    ],
  },
  {
    code: 'HB-05',
    label: 'the old one',
    looks: [
      {
        on: '2036-06-04',
        base: 74,
        height: 3200,
        girths: [
          { at: 400, mm: 58 },
          { at: 1200, mm: 36 },
        ],
        parts: [
          ['a', 'sacrifice', 620, 200, 14, { since: '2034-05-01', foliage: 0.3, feeds: 'layer' }],
          ['b', 'branch', 900, 20, 16],
          ['c', 'branch', 1250, 140, 12],
        ],
        note: 'next layer below a, once that has swelled it',
      },
    ],
  },
];

/** Stems that were drawn over the years. */
export const stems: Chapter = () =>
  DRAWN.flatMap(({ code, label, looks }) =>
    looks.map(({ on, base, height, girths = [], parts, decided = {}, note = '' }) => ({
      on,
      by: 'Ines Tessary' as const,
      act: (w) =>
        addDrawing(w, 'stem_record', {
          id: named(`stem of ${code} ${label} ${on}`),
          cohortId: cohortId(code),
          label,
          on,
          note,
          record: { base, height, front: 180, girths, parts: parts.map(partOf) },
          decided: { ...NOTHING_DECIDED, ...decided },
        }),
    })),
  );
