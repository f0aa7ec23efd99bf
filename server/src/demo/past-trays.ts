import { randomUUID } from 'node:crypto';
import { random, seedFrom } from '@gonimos/core/random';
import type { Trx } from '../db/index.ts';

const range = (n: number) => Array.from({ length: n }, (_, i) => i);

/** Cells of sowings counted long ago: the trays are drawn from what their ledger tells. */
export async function pastTrays(trx: Trx, cohortId: string, code: string, count: number): Promise<void> {
  const rng = random(seedFrom(`trays of ${code}`));
  const told: { id: string; type: string; count: number }[] = await trx('ledger_entry')
    .where({ cohort_id: cohortId })
    .whereIn('type', ['emerged', 'lost_before_emergence'])
    .orderBy('seq')
    .select('id', 'type', 'count');
  const { started: sown } = await trx('ledger_entry')
    .where({ cohort_id: cohortId, type: 'started' })
    .first({ started: 'count' });
  const pool = told.map((e) => ({
    entry: e.id,
    state: e.type === 'emerged' ? 'potted' : 'eaten',
    left: e.count,
  }));
  const rest = sown - told.reduce((n, e) => n + e.count, 0);
  const kinds: { entry: string | null; state: string; left: number }[] = [
    ...pool,
    { entry: null, state: 'sown', left: rest },
  ];
  /** Trays differ: what a cell holds is drawn from what is left, by the luck of its tray. */
  const draw = (luck: number) => {
    const weights = kinds.map((k) => k.left * (k.state === 'potted' ? luck : (2 - luck) ** 2));
    let at = rng.next() * weights.reduce((n, w) => n + w, 0);
    const kind =
      kinds[
        Math.max(
          0,
          weights.findIndex((w) => (at -= w) < 0),
        )
      ];
    kind.left--;
    return kind;
  };
  const columns = 12;
  for (const n of range(count)) {
    const luck = 0.82 + 0.36 * rng.next();
    const size = Math.floor((sown * (n + 1)) / count) - Math.floor((sown * n) / count);
    const cells = range(size).map(() => draw(luck));
    const id = randomUUID();
    const rows = Math.ceil(size / columns);
    await trx('tray').insert({ id, cohort_id: cohortId, name: String.fromCharCode(65 + n), rows, columns });
    await trx('tray_cell').insert(
      range(rows * columns).map((cell) => ({ tray_id: id, cell, state: cells[cell]?.state ?? 'empty' })),
    );
    const links = cells.flatMap((c, cell) => (c.entry ? [{ tray_id: id, cell, entry_id: c.entry }] : []));
    if (links.length > 0) await trx('tray_cell_entry').insert(links);
  }
}
