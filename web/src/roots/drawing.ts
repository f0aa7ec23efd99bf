import { NOTHING_DECIDED } from '@gonimos/contract/roots-decided';
import type { NewRootRecord } from '@gonimos/contract/root-records';
import { turned } from '@gonimos/core/stats';
import type { Fault, Overrule, Root, RootPoint, RootRecord } from '@gonimos/core/roots';

export type Decided = NewRootRecord['decided'];

/** What lies on the bench: the roots as drawn, and what was decided about them. */
export interface Sheet {
  record: RootRecord;
  decided: Decided;
}

/** A drawing with what can be undone and done again. */
export interface Drawing extends Sheet {
  undo: readonly Sheet[];
  redo: readonly Sheet[];
  /** id of the root that is in hand */
  chosen: string | null;
  /** goes up when what stands in inputs is no longer what was typed: undone, done again, opened */
  turned: number;
}

/** Thickness of a root drawn with a brush, in trunks, and how much fine root it carries. */
export const BRUSHES = [
  { name: 'Thin', share: 0.07 },
  { name: 'Middle', share: 0.14 },
  { name: 'Thick', share: 0.28 },
] as const;
export const FIBRES = [
  { name: 'feeds well', factor: 2 },
  { name: 'as usual', factor: 1 },
  { name: 'hardly feeds', factor: 0.15 },
] as const;

export interface Brush {
  /** index of BRUSHES and of FIBRES */
  thick: number;
  fibre: number;
}

/** Fine root of a root of a thickness, as it is said against the usual; null: as usual. */
export const fibreOf = (diameter: number, fibre: number): number | null =>
  FIBRES[fibre].factor === 1 ? null : Math.round(FIBRES[fibre].factor * diameter ** 1.5 * 10) / 10;

/** Which of FIBRES a root's own figure comes nearest to. */
export function fibreWord({ diameter, fibre }: Pick<Root, 'diameter' | 'fibre'>): number {
  if (fibre === null) return 1;
  const ratio = fibre / diameter ** 1.5;
  return ratio > 1.4 ? 0 : ratio < 0.5 ? 2 : 1;
}

/** What was decided, with what is asked of it today. */
export const wholeDecided = (decided: Partial<Decided>): Decided => ({ ...NOTHING_DECIDED, ...decided });

export const emptyRecord = (trunk: number): RootRecord => ({
  trunk,
  front: 180,
  under: null,
  profile: null,
  escaped: false,
  pests: '',
  roots: [],
});

/** What lies on the bench is whole, also where it was left there before something was asked. */
export const drawingOf = (sheet: Sheet): Drawing => ({
  record: sheet.record,
  decided: wholeDecided(sheet.decided),
  undo: [],
  redo: [],
  chosen: null,
  turned: 0,
});

const tenth = (x: number) => Math.round(x * 10) / 10;

/** The first name of a root that is free: a, b … z, a2, b2 … */
function freeId(roots: readonly Root[]): string {
  const taken = new Set(roots.map((r) => r.id));
  for (let round = 1; ; round++)
    for (let i = 0; i < 26; i++) {
      const id = String.fromCharCode(97 + i) + (round > 1 ? round : '');
      if (!taken.has(id)) return id;
    }
}

/** A new root towards a point on the ground, by the brush in hand. */
export function newRoot(record: RootRecord, tip: RootPoint, brush: Brush): Root {
  const diameter = Math.max(0.5, tenth(record.trunk * BRUSHES[brush.thick].share));
  const azimuth = tenth(turned(tip.azimuth));
  return {
    id: freeId(record.roots),
    azimuth,
    diameter,
    height: 0,
    angle: 5,
    fibre: fibreOf(diameter, brush.fibre),
    path: [{ azimuth, out: Math.max(tip.out, record.trunk / 2 + 3) }].map(rounded),
    forks: [],
    faults: [],
    note: '',
  };
}

const rounded = (p: RootPoint): RootPoint => ({ azimuth: tenth(turned(p.azimuth)), out: tenth(p.out) });

/** A root whose end or bend is drawn to a point; the bend is made where there is none. */
export function bent(root: Root, what: 'end' | 'bend', to: RootPoint, trunk: number): Root {
  const at = rounded({ azimuth: to.azimuth, out: Math.max(to.out, trunk / 2 + 1) });
  const end = root.path[root.path.length - 1];
  if (what === 'end') return { ...root, path: [...root.path.slice(0, -1), at] };
  return { ...root, path: [...root.path.slice(0, -2), at, end] };
}

/** A root whose side is drawn away from its middle: twice as thick as that is far. */
export function thickened(root: Root, to: RootPoint): Root {
  const off = Math.abs(to.out * Math.sin(((to.azimuth - root.azimuth) * Math.PI) / 180));
  return { ...root, diameter: Math.max(0.5, tenth(2 * off)) };
}

/** A root swung around the trunk with its whole path. */
export const swung = (root: Root, by: number): Root => ({
  ...root,
  azimuth: tenth(turned(root.azimuth + by)),
  path: root.path.map((p) => rounded({ ...p, azimuth: p.azimuth + by })),
});

/** A root made longer or shorter at its end. */
export function lengthened(root: Root, by: number, trunk: number): Root {
  const end = root.path[root.path.length - 1];
  return bent(root, 'end', { azimuth: end.azimuth, out: end.out + by }, trunk);
}

export const withFault = (root: Root, fault: Fault, on: boolean): Root => ({
  ...root,
  faults: on ? [...root.faults.filter((f) => f !== fault), fault] : root.faults.filter((f) => f !== fault),
});

export type Act =
  | { do: 'choose'; id: string | null }
  | { do: 'add'; root: Root }
  | { do: 'change'; root: Root }
  | { do: 'drop'; id: string }
  | { do: 'record'; record: RootRecord }
  | { do: 'decide'; decided: Partial<Decided> }
  /** it is stood otherwise: what is typed of it is no longer what stands there */
  | { do: 'stand'; record: RootRecord; decided: Partial<Decided> }
  | { do: 'overrule'; id: string; to: Overrule | null }
  | { do: 'undo' }
  | { do: 'redo' }
  | { do: 'open'; sheet: Sheet };

const UNDOS = 100;

/** A step of drawing that can be undone. */
function next(d: Drawing, more: Partial<Sheet>, chosen = d.chosen): Drawing {
  const undo = [...d.undo, { record: d.record, decided: d.decided }].slice(-UNDOS);
  return { record: d.record, decided: d.decided, ...more, undo, redo: [], chosen, turned: d.turned };
}

const withRoots = (d: Drawing, roots: Root[], chosen = d.chosen): Drawing =>
  next(d, { record: { ...d.record, roots } }, chosen);

function overruled(d: Drawing, id: string, to: Overrule | null): Drawing {
  const others = d.decided.overruled.filter((o) => o.root !== id);
  const line = to && { root: id, action: to.action, length: to.length ?? null, turn: to.turn ?? null };
  return next(d, { decided: { ...d.decided, overruled: line ? [...others, line] : others } });
}

/** The drawing after something was done to it. Pure. */
export function draw(d: Drawing, act: Act): Drawing {
  switch (act.do) {
    case 'choose':
      return { ...d, chosen: act.id };
    case 'add':
      return withRoots(d, [...d.record.roots, act.root], act.root.id);
    case 'change':
      return withRoots(
        d,
        d.record.roots.map((r) => (r.id === act.root.id ? act.root : r)),
      );
    case 'drop': {
      const gone = {
        ...d,
        decided: { ...d.decided, overruled: d.decided.overruled.filter((o) => o.root !== act.id) },
      };
      const after = withRoots(
        gone,
        d.record.roots.filter((r) => r.id !== act.id),
        null,
      );
      return { ...after, undo: [...d.undo, { record: d.record, decided: d.decided }].slice(-UNDOS) };
    }
    case 'record':
      return next(d, { record: act.record });
    case 'decide':
      return next(d, { decided: { ...d.decided, ...act.decided } });
    case 'stand': {
      const stood = next(d, { record: act.record, decided: { ...d.decided, ...act.decided } });
      return { ...stood, turned: d.turned + 1 };
    }
    case 'overrule':
      return overruled(d, act.id, act.to);
    case 'undo': {
      const back = d.undo.at(-1);
      if (!back) return d;
      return {
        ...back,
        undo: d.undo.slice(0, -1),
        redo: [...d.redo, { record: d.record, decided: d.decided }],
        chosen: back.record.roots.some((r) => r.id === d.chosen) ? d.chosen : null,
        turned: d.turned + 1,
      };
    }
    case 'redo': {
      const again = d.redo.at(-1);
      if (!again) return d;
      return {
        ...again,
        undo: [...d.undo, { record: d.record, decided: d.decided }],
        redo: d.redo.slice(0, -1),
        chosen: d.chosen,
        turned: d.turned + 1,
      };
    }
    case 'open':
      return { ...drawingOf(act.sheet), turned: d.turned + 1 };
  }
}

/**
 * Roots out of pasted lines: direction ° , thickness mm, length mm from the trunk, and if wanted height mm, angle °;
 * parted by commas, semicolons, tabs or spaces. A first line of words is passed over.
 */
export function pastedRoots(text: string, record: RootRecord): { roots: Root[]; faults: string[] } {
  const faults: string[] = [];
  let made: RootRecord = record;
  text
    .split('\n')
    .map((line) => line.trim())
    .forEach((line, i) => {
      if (line === '' || (i === 0 && /^[a-z°, ;\t]+$/i.test(line))) return;
      const cells = line.split(/[,;\t ]+/).map(Number);
      const [azimuth, diameter, long, height = 0, angle = 5] = cells;
      if (cells.length < 3 || cells.length > 5 || cells.some((c) => Number.isNaN(c)))
        faults.push(`line ${i + 1} is not direction, thickness, length: ${line.slice(0, 40)}`);
      else if (azimuth < 0 || azimuth > 360)
        faults.push(`line ${i + 1}: direction ${azimuth}° is not 0 to 360`);
      else if (diameter <= 0 || long <= 0) faults.push(`line ${i + 1}: thickness and length are above 0`);
      else {
        const tip = { azimuth, out: made.trunk / 2 + long };
        const root = { ...newRoot(made, tip, { thick: 1, fibre: 1 }), diameter, height, angle, fibre: null };
        made = { ...made, roots: [...made.roots, root] };
      }
    });
  return { roots: made.roots.slice(record.roots.length), faults };
}
