import { useMemo, useState } from 'react';
import { rowPlan, type LabStart, type RowSchools } from '@gonimos/core/lab';
import { plural } from '@gonimos/core/words';
import { Field } from '../common/field';
import { NumberInput } from '../common/number-input';
import { length } from '../common/units';

/** Metres of row that are thought of first. */
const METRES = 10;
const MOST = 500;

/** How a row in the ground would be laid out for this cohort, worked out when it is wanted. */
export function GroundRow({ start, row, plants }: { start: LabStart; row: RowSchools; plants: number }) {
  const [open, setOpen] = useState(false);
  return (
    <details className="border-y border-base-300" onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">A row of it in the ground</summary>
      {open && <Plan start={start} row={row} plants={plants} />}
    </details>
  );
}

function Plan({ start, row, plants }: { start: LabStart; row: RowSchools; plants: number }) {
  const [metres, setMetres] = useState(METRES);
  const sound = metres > 0 && metres <= MOST;
  const plan = useMemo(() => (sound ? rowPlan(start, row, metres) : null), [start, row, metres, sound]);
  return (
    <div className="grid max-w-prose gap-3 pb-4">
      <Field
        label="Metres of row"
        error={sound ? undefined : `is not above 0 and up to ${MOST}`}
        className="w-40"
      >
        <NumberInput value={metres} onChange={setMetres} />
      </Field>
      {plan && (
        <>
          <p>
            <strong>{length(plan.spacing)} apart</strong>, rows {length(plan.rows)} apart: crowns just meet
            when the row is lifted. {plural(plan.plants, 'plant')} stand in it
            {plan.plants >= plants ? `, all ${plants} of this cohort` : `, of the ${plants} of this cohort`}.
          </p>
          <p>
            Each on a tile of {length(plan.tile.wide)}, {length(plan.tile.deep[0])} to{' '}
            {length(plan.tile.deep[1])} below its roots, spread flat over it before the soil goes on.
          </p>
          <p>
            Lifted in the spring after {plan.lifted.year}, at <strong>{length(plan.lifted.p50)}</strong> (
            {length(plan.lifted.p10)} to {length(plan.lifted.p90)}).
          </p>
          <ul className="list-disc pl-5">
            {plan.words.map((w) => (
              <li key={w}>{w}</li>
            ))}
          </ul>
          <p className="border-l-4 border-accent pl-3">
            Ask where pipes and cables lie before a spade goes in; lift with the knees, and wear boots. Local
            rules come first.
          </p>
          <p className="soft text-sm">
            By the schools of the ground that hold for this cohort. Spacing and tile are common practice, no
            source; girth is the trunk lab’s.
          </p>
        </>
      )}
    </div>
  );
}
