import type { UseFormReturn } from 'react-hook-form';
import type { CohortRow } from '@gonimos/contract/cohorts';
import { useLots } from '../seed/queries';
import { useGoals } from '../starts/queries';
import { Field } from '../common/field';

/** What a new cohort hangs on: parent, seed lot, goal, host. Ids; empty: none. */
export interface KinInputs {
  parentId: string;
  lotId: string;
  goalId: string;
  hostId: string;
}
export const NO_KIN: KinInputs = { parentId: '', lotId: '', goalId: '', hostId: '' };

interface Props<T extends KinInputs> {
  form: UseFormReturn<T>;
  rows: readonly CohortRow[];
  taxonId: string;
  placeId: string;
  seed: boolean;
}

export function KinFields<T extends KinInputs>({ form: own, rows, taxonId, placeId, seed }: Props<T>) {
  const form = own as unknown as UseFormReturn<KinInputs>;
  const { errors } = form.formState;
  const alike = rows.filter((r) => r.taxonId === taxonId);
  const lots = (useLots().data ?? []).filter((l) => l.taxonId === taxonId);
  const goals = (useGoals().data ?? []).filter((g) => g.taxonId === taxonId);
  const hosts = rows.filter((r) => r.live > 0 && r.placeId === placeId);
  return (
    <>
      {alike.length > 0 && (
        <Field label="Parent" hint="of the same kind, if it is here" error={errors.parentId?.message}>
          <select className="select" {...form.register('parentId')}>
            <option value="">none</option>
            {alike.map((r) => (
              <option key={r.id} value={r.id}>
                {r.code}, {r.startedSaid}
              </option>
            ))}
          </select>
        </Field>
      )}
      {seed && lots.length > 0 && (
        <Field label="Seed lot" error={errors.lotId?.message}>
          <select className="select" {...form.register('lotId')}>
            <option value="">none noted</option>
            {lots.map((l) => (
              <option key={l.id} value={l.id}>
                {l.name}, {l.left} left
              </option>
            ))}
          </select>
        </Field>
      )}
      {goals.length > 0 && (
        <Field label="For the goal" error={errors.goalId?.message}>
          <select className="select" {...form.register('goalId')}>
            <option value="">none</option>
            {goals.map((g) => (
              <option key={g.id} value={g.id}>
                {g.wanted} {g.stageWords} by {g.byYear}
              </option>
            ))}
          </select>
        </Field>
      )}
      <Field
        label="Guest of"
        hint="when they stand in the pots of other plants; they move together"
        error={errors.hostId?.message}
      >
        <select className="select" {...form.register('hostId')}>
          <option value="">none: in pots of their own</option>
          {hosts.map((r) => (
            <option key={r.id} value={r.id}>
              {r.code}
            </option>
          ))}
        </select>
      </Field>
    </>
  );
}
