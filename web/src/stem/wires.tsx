import { X } from 'lucide-react';
import { useMemo, type ReactNode } from 'react';
import type { StemBench } from '@gonimos/contract/stem-records';
import { operation } from '@gonimos/core/operations';
import {
  isShoot,
  MOVES,
  wiresFor,
  wireWanted,
  type BandLaid,
  type Move,
  type Piece,
  type StemPart,
  type StemRecord,
  type StemWire,
  type WireLaid,
} from '@gonimos/core/stem';
import { GAUGES, METALS, type Metal } from '@gonimos/core/wire';
import { plural } from '@gonimos/core/words';
import { shortDate } from '../common/dates';
import { inUnits, length, weight } from '../common/units';
import { wireOn } from './sheet';
import type { Bites } from './use-wires';

interface Props {
  record: StemRecord;
  wires: readonly StemWire[];
  laid: readonly WireLaid[];
  /** when each bites, in the order of those laid */
  bites: Bites;
  /** plants that are wired like this one */
  plants: number;
  chosen: StemPart | undefined;
  held: StemBench['held'];
  today: string;
  /** what goes around the base, which is told below the wires */
  bands: readonly BandLaid[];
  onWires: (wires: StemWire[]) => void;
  children?: ReactNode;
}

const MOVE_WORDS: Record<Move, string> = {
  down: 'to come down',
  up: 'to go up',
  left: 'to the left',
  right: 'to the right',
};
const PLAIN = 'btn border border-base-300 bg-base-100';
const METAL_NAMES = Object.keys(METALS) as Metal[];

/** A wire as it is laid, with what may be chosen of it. */
function WireLine({
  n,
  laid,
  due,
  partners,
  today,
  change,
  drop,
}: {
  n: number;
  laid: WireLaid;
  due: Bites[number] | undefined;
  partners: readonly StemPart[];
  today: string;
  change: (more: Partial<StemWire>) => void;
  drop: () => void;
}) {
  const { wire } = laid;
  const name = `wire ${n}`;
  return (
    <li className="grid gap-1.5 border-t border-base-300 py-2" aria-label={`Wire ${n}`}>
      <p className="flex items-start gap-2">
        <span className="grow">
          <strong>
            {wire.part ? `${wire.part}: ` : ''}
            {inUnits(laid.words)}
          </strong>{' '}
          <span className="soft">
            {length(laid.gauge, 1)} {wire.metal}, {plural(Math.round(laid.turns + laid.turnsOn), 'turn')}{' '}
            {laid.coil}, {length(laid.length)}; {inUnits(laid.anchor)}.
          </span>{' '}
          {due &&
            (due.bites ? (
              <span className="whitespace-nowrap">Bites by {shortDate(due.due, today)}.</span>
            ) : (
              <span>Does not bite within a year.</span>
            ))}
        </span>
        <button type="button" className="btn btn-ghost btn-square" onClick={drop}>
          <X size={18} aria-hidden="true" />
          <span className="sr-only">Without {name}</span>
        </button>
      </p>
      {laid.weak && (
        <p className="font-semibold text-accent">
          No gauge of {wire.metal} holds wood so thick: two side by side, or a guy.
        </p>
      )}
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
        <select
          className="select w-full"
          aria-label={`Metal of ${name}`}
          value={wire.metal}
          onChange={(e) => change({ metal: e.target.value as Metal, gauge: null })}
        >
          {METAL_NAMES.map((m) => (
            <option key={m}>{m}</option>
          ))}
        </select>
        <select
          className="select w-full"
          aria-label={`Gauge of ${name}`}
          value={wire.gauge ?? ''}
          onChange={(e) => change({ gauge: e.target.value === '' ? null : Number(e.target.value) })}
        >
          <option value="">as it fits</option>
          {GAUGES.map((g) => (
            <option key={g} value={g}>
              {length(g, 1)}
            </option>
          ))}
        </select>
        <select
          className="select w-full"
          aria-label={`Where ${name} moves it`}
          value={wire.moves}
          onChange={(e) => change({ moves: e.target.value as Move })}
        >
          {MOVES.map((m) => (
            <option key={m} value={m}>
              {MOVE_WORDS[m]}
            </option>
          ))}
        </select>
        {wire.part !== null && (
          <select
            className="select w-full"
            aria-label={`What anchors ${name}`}
            value={wire.with ?? ''}
            onChange={(e) => change({ with: e.target.value || null })}
          >
            <option value="">anchored at the stem</option>
            {partners.map((p) => (
              <option key={p.id} value={p.id}>
                with {p.id}
              </option>
            ))}
          </select>
        )}
      </div>
    </li>
  );
}

/** What the wires of so many plants take, by gauge. */
function Wanted({ pieces, plants }: { pieces: readonly Piece[]; plants: number }) {
  const wanted = useMemo(() => wireWanted(pieces, plants), [pieces, plants]);
  return (
    <p>
      For {plural(plants, 'plant')} like this one, with spare:{' '}
      {wanted
        .map(
          (w) =>
            `${length(w.gauge, 1)} ${w.metal} ${w.metres.toFixed(1)} m, ${w.grams < 950 ? `${Math.round(w.grams)} g` : weight(w.grams / 1000)}`,
        )
        .join('; ')}
      .
    </p>
  );
}

/** What holds the movement of a stem and its branches: each wire with its gauge, way, anchor and the day it bites. */
export function Wires({
  record,
  wires,
  laid,
  bites,
  plants,
  chosen,
  held,
  bands,
  today,
  onWires,
  children,
}: Props) {
  const pieces = [
    ...laid.map((l) => ({ ...l, metal: l.wire.metal })),
    ...bands.map((b) => ({ ...b, metal: b.band.metal })),
  ];
  const busy = new Set(wires.flatMap((w) => [w.part, w.with]));
  const free = record.parts.filter((p) => isShoot(p) && !busy.has(p.id));
  const add = (w: Partial<StemWire>) => onWires([...wires, wireOn(w)]);
  const meant = wiresFor(record, 'aluminium').filter((w) => !busy.has(w.part));
  return (
    <section aria-label="Wire" className="when-near grid gap-2">
      <h3 className="text-lg">Wire</h3>
      {pieces.length > 0 && (
        <p className="bg-[var(--slip)] px-3 py-2 text-sm">
          {operation('wire').caution} Local rules come first.
        </p>
      )}
      <div className="no-print flex flex-wrap gap-2">
        {meant.length > 0 && (
          <button type="button" className={PLAIN} onClick={() => onWires([...wires, ...meant])}>
            Wire what is to be a branch
          </button>
        )}
        {!busy.has(null) && (
          <button
            type="button"
            className={PLAIN}
            onClick={() => add({ to: Math.round(record.height * 0.8) })}
          >
            Wire the stem
          </button>
        )}
        {chosen && isShoot(chosen) && !busy.has(chosen.id) && (
          <button type="button" className={PLAIN} onClick={() => add({ part: chosen.id, moves: 'down' })}>
            Wire {chosen.id}
          </button>
        )}
      </div>
      {laid.length > 0 && (
        <ul>
          {laid.map((l, i) => (
            <WireLine
              key={l.wire.part ?? 'stem'}
              n={i + 1}
              laid={l}
              due={bites[i]}
              partners={[
                ...free,
                ...record.parts.filter((p) => l.wire.with !== null && p.id === l.wire.with),
              ].filter((p) => p.id !== l.wire.part)}
              today={today}
              change={(more) => onWires(wires.map((w) => (w === l.wire ? { ...w, ...more } : w)))}
              drop={() => onWires(wires.filter((w) => w !== l.wire))}
            />
          ))}
        </ul>
      )}
      {children}
      {pieces.length > 0 && <Wanted pieces={pieces} plants={plants} />}
      {held.off > 0 && (
        <p className="soft">
          Of {plural(held.off, 'wire')} that came off this kind, {held.kept} kept what they held
          {held.days !== null && `; they were on ${plural(held.days, 'day')} in the median`}.
        </p>
      )}
    </section>
  );
}
