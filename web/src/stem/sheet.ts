import { NOTHING_DECIDED } from '@gonimos/contract/stem-decided';
import type { NewStemRecord } from '@gonimos/contract/stem-records';
import {
  isShoot,
  USUAL_FOLIAGE,
  type StemPart,
  type StemPartKind,
  type StemRecord,
  type StemWire,
} from '@gonimos/core/stem';

export type Decided = NewStemRecord['decided'];

/** What lies on the bench: the stem as drawn, and what was decided about it. */
export interface Sheet {
  record: StemRecord;
  decided: Decided;
}

/** A drawing with what can be undone and done again. */
export interface Drawing extends Sheet {
  undo: readonly Sheet[];
  redo: readonly Sheet[];
  /** id of the part that is in hand */
  chosen: string | null;
  /** goes up when what stands in inputs is no longer what was typed: undone, done again, opened */
  turned: number;
}

/** A record in which every part tells all that is asked of one today. */
export const wholeRecord = (record: StemRecord): StemRecord => ({
  ...record,
  parts: record.parts.map((p) => ({
    ...p,
    feeds: p.feeds ?? null,
    role: p.role ?? null,
    rise: p.rise ?? null,
    vitality: p.vitality ?? null,
    long: p.long ?? null,
  })),
});

/** What was decided, with what is asked of it today. */
export const wholeDecided = (decided: Partial<Decided>): Decided => ({ ...NOTHING_DECIDED, ...decided });

/** A new wire, as most are. */
export const wireOn = (more: Partial<StemWire> = {}): StemWire => ({
  part: null,
  to: null,
  metal: 'aluminium',
  gauge: null,
  moves: 'right',
  with: null,
  ...more,
});

/** Wires whose parts can hold one; a wire whose partner has gone is anchored at the stem. */
export function wiresThatStand(record: StemRecord, wires: readonly StemWire[]): StemWire[] {
  const shoots = new Set(record.parts.filter((p) => isShoot(p)).map((p) => p.id));
  return wires
    .filter((w) => w.part === null || shoots.has(w.part))
    .map((w) => (w.with !== null && !shoots.has(w.with) ? { ...w, with: null } : w));
}

export const emptyStem = (base: number, height: number): StemRecord => ({
  base: Math.round(base * 10) / 10,
  height: Math.round(height),
  front: 180,
  girths: [],
  parts: [],
});

/** What lies on the bench is whole, also where it was left there before something was asked. */
export const drawingOf = (sheet: Sheet): Drawing => ({
  record: wholeRecord(sheet.record),
  decided: wholeDecided(sheet.decided),
  undo: [],
  redo: [],
  chosen: null,
  turned: 0,
});

/** Thickness a new part begins with, of the stem where it stands. */
const SHARE: Record<StemPartKind, number> = { bud: 0, shoot: 0.2, branch: 0.35, sacrifice: 0.35, stub: 0.3 };

/** The first name that is free: a, b … z, a2 … */
function freeId(parts: readonly StemPart[]): string {
  const taken = new Set(parts.map((p) => p.id));
  for (let round = 1; ; round++)
    for (let i = 0; i < 26; i++) {
      const id = String.fromCharCode(97 + i) + (round > 1 ? round : '');
      if (!taken.has(id)) return id;
    }
}

const within = (x: number, least: number, most: number) => Math.min(most, Math.max(least, x));

/** A new part at a height; seen from the front it stands to the right (1) or to the left (−1). */
export function newPart(
  record: StemRecord,
  kind: StemPartKind,
  height: number,
  side: 1 | -1,
  thick: number,
  today: string,
): StemPart {
  const sacrifice = kind === 'sacrifice';
  return {
    id: freeId(record.parts),
    kind,
    height: Math.round(within(height, 0, record.height)),
    azimuth: (((record.front - 90 * side) % 360) + 360) % 360,
    diameter: kind === 'bud' ? 0 : Math.max(0.5, Math.round(thick * SHARE[kind] * 10) / 10),
    since: sacrifice ? today : null,
    foliage: sacrifice ? USUAL_FOLIAGE : null,
    feeds: sacrifice ? 'trunk' : null,
    role: null,
    rise: null,
    vitality: null,
    long: null,
    note: '',
  };
}

/** A part told to be of another kind: what only the other kind has comes or goes with it. */
export function ofKind(part: StemPart, kind: StemPartKind, thick: number, today: string): StemPart {
  const diameter =
    kind === 'bud' ? 0 : part.diameter || Math.max(0.5, Math.round(thick * SHARE[kind] * 10) / 10);
  const sacrifice = kind === 'sacrifice';
  return {
    ...part,
    kind,
    diameter,
    since: sacrifice ? (part.since ?? today) : null,
    foliage: sacrifice ? (part.foliage ?? USUAL_FOLIAGE) : null,
    feeds: sacrifice ? (part.feeds ?? 'trunk') : null,
    role: kind === 'stub' || sacrifice ? null : (part.role ?? null),
    vitality: kind === 'stub' ? null : (part.vitality ?? null),
    long: kind === 'bud' || kind === 'stub' ? null : (part.long ?? null),
  };
}

export type Act =
  | { do: 'choose'; id: string | null }
  | { do: 'record'; record: StemRecord; chosen?: string | null }
  | { do: 'part'; part: StemPart }
  | { do: 'drop'; id: string }
  | { do: 'decide'; decided: Partial<Decided> }
  /** it is stood otherwise: what is typed of it is no longer what stands there */
  | { do: 'stand'; record: StemRecord; decided: Partial<Decided> }
  | { do: 'undo' }
  | { do: 'redo' }
  | { do: 'open'; sheet: Sheet };

const UNDOS = 100;
const sheetOf = ({ record, decided }: Sheet): Sheet => ({ record, decided });

/** A step of drawing that can be undone. */
const next = (d: Drawing, record: StemRecord, decided: Decided, chosen = d.chosen): Drawing => ({
  record,
  // what is on a part goes with it
  decided: { ...decided, wires: wiresThatStand(record, decided.wires) },
  undo: [...d.undo, sheetOf(d)].slice(-UNDOS),
  redo: [],
  chosen,
  turned: d.turned,
});

const stillThere = (sheet: Sheet, chosen: string | null) =>
  sheet.record.parts.some((p) => p.id === chosen) ? chosen : null;

/** The drawing after something was done to it. Pure. */
export function draw(d: Drawing, act: Act): Drawing {
  switch (act.do) {
    case 'choose':
      return { ...d, chosen: act.id };
    case 'record':
      return next(d, act.record, d.decided, act.chosen === undefined ? d.chosen : act.chosen);
    case 'part': {
      const known = d.record.parts.some((p) => p.id === act.part.id);
      const parts = known
        ? d.record.parts.map((p) => (p.id === act.part.id ? act.part : p))
        : [...d.record.parts, act.part];
      return next(d, { ...d.record, parts }, d.decided, act.part.id);
    }
    case 'drop':
      return next(d, { ...d.record, parts: d.record.parts.filter((p) => p.id !== act.id) }, d.decided, null);
    case 'decide':
      return next(d, d.record, { ...d.decided, ...act.decided });
    case 'stand':
      return { ...next(d, act.record, { ...d.decided, ...act.decided }), turned: d.turned + 1 };
    case 'undo': {
      const back = d.undo.at(-1);
      if (!back) return d;
      const chosen = stillThere(back, d.chosen);
      return {
        ...back,
        undo: d.undo.slice(0, -1),
        redo: [...d.redo, sheetOf(d)],
        chosen,
        turned: d.turned + 1,
      };
    }
    case 'redo': {
      const again = d.redo.at(-1);
      if (!again) return d;
      const chosen = stillThere(again, d.chosen);
      return {
        ...again,
        undo: [...d.undo, sheetOf(d)],
        redo: d.redo.slice(0, -1),
        chosen,
        turned: d.turned + 1,
      };
    }
    case 'open':
      return { ...drawingOf(act.sheet), turned: d.turned + 1 };
  }
}
