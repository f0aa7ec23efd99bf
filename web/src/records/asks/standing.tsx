import { PlaceOptions } from '../../nursery/place-options';
import type { Operation } from '@gonimos/core/operations';
import { Field } from '../../common/field';
import type { Ask } from './ask';

/** Out of the ground plants never stand where they stood. */
const lifts = (op: Operation | null): boolean => op?.loosens === true && op.moves === true;

/** Where the plants stand from now on, where the work takes them somewhere. */
export const standing: Ask = {
  subject: 'standing',
  asked: (op) => Boolean(op?.exposes || op?.shelters || op?.moves),
  first: () => ({ placeId: '' }),
  Fields: ({ op, form, fault }) => (
    <Field
      label="Stands now at"
      hint={lifts(op) ? undefined : 'when the place changes with it'}
      error={fault('placeId')}
    >
      <select
        className="select"
        {...form.register('details.standing.placeId', lifts(op) ? { required: 'is missing' } : {})}
      >
        <option value="">{lifts(op) ? 'choose where they stand now …' : 'where it stood'}</option>
        <PlaceOptions />
      </select>
    </Field>
  ),
  told: (v) => (v.placeId ? { placeId: v.placeId } : null),
};
