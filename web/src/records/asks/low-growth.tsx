import type { UseFormRegisterReturn } from 'react-hook-form';
import { taxon } from '@gonimos/core/taxa';
import { Field } from '../../common/field';

/** On kinds that do not sprout from bare old wood, whether anything lives low on the stem decides how low a cut may go. */
export function LowGrowth({ taxonId, field }: { taxonId: string; field: UseFormRegisterReturn }) {
  const { name, sproutsOld } = taxon(taxonId);
  if (sproutsOld) return null;
  return (
    <Field
      label="Live growth low on the stem"
      hint={`${name} does not sprout from bare old wood: a chop needs it`}
    >
      <select className="select" {...field}>
        <option value="">not looked for</option>
        <option value="seen">there is some</option>
        <option value="none">none, bare wood</option>
      </select>
    </Field>
  );
}
