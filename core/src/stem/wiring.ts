import type { Stretch } from '../operations/index.ts';
import { GAUGES, gaugeFor, gramsOf, METALS, SPARE, spiral, type Metal } from '../wire/index.ts';
import {
  isShoot,
  lengthOf,
  partWords,
  sideBetween,
  stemAt,
  type StemPart,
  type StemRecord,
} from './record.ts';

/** Where a wired part is to go; the coil turns the way it is twisted, so that bending tightens it. */
export const MOVES = ['down', 'up', 'left', 'right'] as const;
export type Move = (typeof MOVES)[number];
export type Coil = 'clockwise' | 'anticlockwise';

/** A wire that is wanted on a stem. */
export interface StemWire {
  /** the part it is on; null: the stem itself, from the soil up */
  part: string | null;
  /** on the stem: how high it goes, mm; on a part it goes to its end */
  to: number | null;
  metal: Metal;
  /** mm; null: as it fits */
  gauge: number | null;
  moves: Move;
  /** the part that the same wire goes on to, which anchors both; null: it is anchored at the stem, or in the soil */
  with: string | null;
}

/** A wire as it is laid. */
export interface WireLaid {
  wire: StemWire;
  /** where: "the stem to 240 mm", "branch at 120 mm, SE, 4 mm" */
  words: string;
  anchor: string;
  coil: Coil;
  /** mm at its foot and its end, and along it */
  thick: { from: number; to: number };
  long: number;
  gauge: number;
  /** the gauge does not hold wood so thick: it wants a guy, or a second wire beside it */
  weak: boolean;
  turns: number;
  /** turns on the part the same piece goes on to; 0: it goes on to none */
  turnsOn: number;
  /** of the whole piece with its anchor, mm */
  length: number;
  grams: number;
  /** what it sits on, for the day it bites */
  stretch: Stretch;
}

/** At 45° wire holds best for its length. Common practice, no source. */
const ANGLE = 45;
/** The end of a shoot is so thick, of its foot. */
const END = 0.4;
/** Wire is pushed so deep into the soil, mm, or goes around the stem so often, to hold. Common practice, no source. */
const IN_SOIL = 80;
const TURNS_HELD = 2;
/** One wire serves two parts that differ by so much in thickness at most, and stand no farther apart on the stem. Common practice, no source. */
const ALIKE = 1.6;
const NEAR = 4;
/** Under this nothing is wired that holds its bend, mm. */
const THIN = 0.8;

/** The stem above its last shoot: what leads. */
function leaderOf(record: StemRecord): number {
  const top = Math.max(0, ...record.parts.filter(isShoot).map((p) => p.height));
  return stemAt(record, Math.min(record.height, top));
}

/**
 * How much of the crown stands above a height of the stem, or on a part, 0..1: by cross-sections, as the pipe model has
 * it (Shinozaki et al. 1964).
 */
export function crownShare(record: StemRecord, on: { above: number } | { part: StemPart }): number {
  const shoots = record.parts.filter(isShoot);
  const area = (ps: readonly StemPart[]) => ps.reduce((n, p) => n + p.diameter ** 2, 0);
  const leader = leaderOf(record) ** 2;
  const all = area(shoots) + leader;
  if ('part' in on) return on.part.diameter ** 2 / all;
  return (area(shoots.filter((p) => p.height > on.above)) + leader) / all;
}

/** Where a wire sits, for how it swells: its foot, which is thickest and bites first. */
function stretchOf(record: StemRecord, part: StemPart | null): Stretch {
  if (!part) return { of: 1, share: crownShare(record, { above: 0 }) };
  return { of: part.diameter / record.base, share: crownShare(record, { part }) };
}

/** To the right of the stem seen from the front, or to its left. */
const isRight = (p: StemPart, front: number): boolean =>
  Math.sin(((p.azimuth - front - 180) * Math.PI) / 180) >= 0;

/** The way a wire turns, seen from its foot: to the right clockwise, to the left against it; else away from its anchor. */
export function coilOf(wire: Pick<StemWire, 'moves'>, part: StemPart | null, front: number): Coil {
  if (wire.moves === 'right') return 'clockwise';
  if (wire.moves === 'left') return 'anticlockwise';
  return part && !isRight(part, front) ? 'anticlockwise' : 'clockwise';
}

/** Whether one wire can serve two parts. */
const serves = (record: StemRecord, a: StemPart, b: StemPart): boolean =>
  a.id !== b.id &&
  Math.max(a.diameter, b.diameter) <= ALIKE * Math.min(a.diameter, b.diameter) &&
  Math.abs(a.height - b.height) <= NEAR * stemAt(record, Math.min(a.height, b.height));

/** The part that anchors a wire best: near, alike, and on another side; null where none does. */
export function anchorFor(record: StemRecord, part: StemPart, taken: ReadonlySet<string>): StemPart | null {
  const rank = (p: StemPart) => Math.abs(p.height - part.height) - sideBetween(p.azimuth, part.azimuth) / 10;
  const fit = record.parts.filter((p) => isShoot(p) && !taken.has(p.id) && serves(record, part, p));
  return fit.toSorted((a, b) => rank(a) - rank(b))[0] ?? null;
}

/** Coils along one stretch. */
const along = (from: number, to: number, long: number, wire: number) =>
  spiral({ from, to, long, wire, angle: ANGLE });

interface Anchored {
  /** mm of wire beside the stretch itself, and turns of them on another part */
  more: number;
  turns: number;
  words: string;
}

/** What holds the foot of a wire, and what it takes. */
function anchored(
  record: StemRecord,
  part: StemPart | null,
  other: StemPart | null,
  gauge: number,
): Anchored {
  if (!part) return { more: IN_SOIL, turns: 0, words: `pushed ${IN_SOIL} mm into the soil at the base` };
  const round = Math.PI * (stemAt(record, part.height) + gauge);
  if (!other)
    return { more: TURNS_HELD * round, turns: 0, words: `${TURNS_HELD} turns around the stem below it` };
  const laid = along(other.diameter, END * other.diameter, lengthOf(other), gauge);
  // half around the stem at least, or slanting from one to the other
  const across = Math.max(round / 2, Math.abs(part.height - other.height) * Math.SQRT2);
  return {
    more: laid.length + across,
    turns: laid.turns,
    words: `the same piece goes on to ${other.id}, ${partWords(other)}`,
  };
}

/** A wire as it is laid on a stem; null where what it is wanted on is not there. */
export function layWire(record: StemRecord, wire: StemWire): WireLaid | null {
  const part = record.parts.find((p) => p.id === wire.part) ?? null;
  const other = record.parts.find((p) => p.id === wire.with) ?? null;
  if ((wire.part !== null && !part) || (wire.with !== null && !other)) return null;
  const to = Math.min(wire.to ?? record.height, record.height);
  const thick = part
    ? { from: part.diameter, to: END * part.diameter }
    : { from: record.base, to: stemAt(record, to) };
  const long = part ? lengthOf(part) : to;
  const hardest = Math.max(thick.from, other?.diameter ?? 0);
  const gauge = wire.gauge ?? gaugeFor(hardest, wire.metal);
  const laid = along(thick.from, thick.to, long, gauge);
  const held = anchored(record, part, other, gauge);
  const length = laid.length + held.more;
  return {
    wire,
    words: part ? partWords(part) : `the stem to ${Math.round(to)} mm`,
    anchor: held.words,
    coil: coilOf(wire, part, record.front),
    thick,
    long,
    gauge,
    weak: gauge < hardest * METALS[wire.metal].ofStem - 0.5,
    turns: laid.turns,
    turnsOn: held.turns,
    length,
    grams: gramsOf(length, gauge, wire.metal),
    stretch: stretchOf(record, part),
  };
}

/** A piece of wire: mm long and thick, and its weight. */
export interface Piece {
  metal: Metal;
  gauge: number;
  length: number;
  grams: number;
}

/** Wire of one gauge for so many plants, with spare. */
export interface WireWanted {
  metal: Metal;
  gauge: number;
  metres: number;
  grams: number;
}

/** What so many plants like this one take, by metal and gauge, with spare for hands and mistakes. */
export function wireWanted(laid: readonly Piece[], plants: number): WireWanted[] {
  const by = new Map<string, WireWanted>();
  for (const l of laid) {
    const { metal } = l;
    const key = `${metal} ${l.gauge}`;
    const so = by.get(key) ?? { metal, gauge: l.gauge, metres: 0, grams: 0 };
    so.metres += (l.length * plants * SPARE) / 1000;
    so.grams += l.grams * plants * SPARE;
    by.set(key, so);
  }
  return [...by.values()].sort((a, b) => b.gauge - a.gauge);
}

/** Where what is meant to be a branch goes: what rises comes down. Common practice, no source. */
const RISES = 20;
const isMeant = (p: StemPart): boolean => p.role === 'first' || p.role === 'back' || p.role === 'leader';

/**
 * Wires for a stem as it stands: what leads, and what was decided to be a branch and can still be bent; pairs that can
 * share a piece do. The stem itself is wired by its own recipe of bends. Common practice, no source.
 */
export function wiresFor(record: StemRecord, metal: Metal): StemWire[] {
  const thickest = GAUGES[GAUGES.length - 1] / METALS[metal].ofStem;
  const taken = new Set<string>();
  const wires: StemWire[] = [];
  const wanted = record.parts
    .filter((p) => isShoot(p) && isMeant(p) && p.diameter >= THIN && p.diameter <= thickest)
    .toSorted((a, b) => b.diameter - a.diameter);
  for (const part of wanted) {
    if (taken.has(part.id)) continue;
    taken.add(part.id);
    const other = anchorFor({ ...record, parts: wanted }, part, taken);
    if (other) taken.add(other.id);
    const moves = part.role === 'leader' || (part.rise ?? 45) < RISES ? 'up' : 'down';
    wires.push({ part: part.id, to: null, metal, gauge: null, moves, with: other?.id ?? null });
  }
  return wires;
}

/** What cannot be of wires on a stem, by field; none where they can be laid. */
export function wireFaults(
  record: StemRecord,
  wires: readonly StemWire[],
): { field: string; text: string }[] {
  const faults: { field: string; text: string }[] = [];
  const parts = new Map(record.parts.map((p) => [p.id, p]));
  const taken = new Set<string>();
  wires.forEach((w, i) => {
    const say = (name: string, text: string) => faults.push({ field: `wires[${i}].${name}`, text });
    for (const [name, id] of [
      ['part', w.part],
      ['with', w.with],
    ] as const) {
      if (id === null) continue;
      const part = parts.get(id);
      if (!part) say(name, 'is no part of this stem');
      else if (!isShoot(part)) say(name, 'is a bud or a stub, which holds no wire');
      else if (taken.has(id)) say(name, 'has a wire already');
      taken.add(id);
    }
    if (w.part === null && w.with !== null) say('with', 'is told of parts alone');
    if (w.part === null && taken.has('')) say('part', 'has a wire already');
    if (w.part === null) taken.add('');
    if (w.to !== null && w.to > record.height) say('to', `is above the tip, ${record.height} mm`);
  });
  return faults;
}
