import type { Random } from '@gonimos/core/random';
import { addTray, markCells } from '../trays/service.ts';
import { findTray, readTray } from '../trays/store.ts';
import type { Writing } from '../write/types.ts';
import { cohortId, named, type DemoRequest } from './hand.ts';
import type { DemoCohort } from './stage.ts';

/** One cohort's years being lived through. */
export interface Life {
  w: Writing;
  id: string;
  spec: DemoCohort;
  rng: Random;
}

const nameOf = (spec: DemoCohort, tray: number) =>
  named(`tray ${spec.code} ${String.fromCharCode(65 + tray)}`);

const COLUMNS = 12;

/** The trays a sowing lies in, filled as evenly as they go. */
export const traysOf = (spec: DemoCohort, on: string): DemoRequest[] =>
  Array.from({ length: spec.trays ?? 0 }, (_, t) => {
    const fill =
      Math.floor((spec.count * (t + 1)) / spec.trays!) - Math.floor((spec.count * t) / spec.trays!);
    const name = String.fromCharCode(65 + t);
    const tray = { id: nameOf(spec, t), name, rows: Math.ceil(fill / COLUMNS), columns: COLUMNS, fill };
    return { on, by: 'Bruno Tessary', act: (w) => addTray(w, cohortId(spec.code), tray) };
  });

/** Marks the cells of its trays: what came up, and what was eaten, by the luck of each tray. */
export async function markTrays(h: Life, on: string): Promise<void> {
  const { up, eaten = 0 } = h.spec.luck;
  for (let t = 0; t < h.spec.trays!; t++) {
    const luck = 0.82 + 0.36 * h.rng.next();
    const { rows, columns, cells } = await readTray(h.w.trx, await findTray(h.w.trx, nameOf(h.spec, t)));
    const fate = cells.slice(0, rows * columns).map((state) => {
      if (state !== 'sown') return null;
      if (h.rng.next() < eaten * (2 - luck) ** 2) return 'eaten' as const;
      return h.rng.next() < up * luck ? ('up' as const) : null;
    });
    for (const now of ['eaten', 'up'] as const)
      await markCells(h.w, nameOf(h.spec, t), {
        id: named(`${now} in tray ${t} of ${h.spec.code}`),
        on,
        cause: now === 'eaten' ? 'eaten' : null,
        marks: fate.flatMap((f, cell) => (f === now ? [{ cell, was: 'sown' as const, now }] : [])),
      });
  }
}

/** Plants that leave their cells are marked as potted there. */
export async function emptyTrays(h: Life, on: string): Promise<void> {
  for (let t = 0; t < h.spec.trays!; t++) {
    const { cells } = await readTray(h.w.trx, await findTray(h.w.trx, nameOf(h.spec, t)));
    const marks = cells.flatMap((state, cell) =>
      state === 'up' ? [{ cell, was: 'up' as const, now: 'potted' as const }] : [],
    );
    await markCells(h.w, nameOf(h.spec, t), {
      id: named(`tray ${t} of ${h.spec.code} potted`),
      on,
      cause: null,
      marks,
    });
  }
}
