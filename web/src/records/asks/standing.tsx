import { PlaceOptions } from '../../nursery/place-options';
import { Field } from '../../common/field';
import type { Ask } from './ask';

/** Where the plants stand from now on, where the work takes them somewhere. */
export const standing: Ask = {
  subject: 'standing',
  asked: (op) => Boolean(op?.exposes || op?.shelters || op?.moves),
  first: () => ({ placeId: '' }),
  Fields: ({ form, fault }) => (
    <Field label="Stands now at" hint="when the place changes with it" error={fault('placeId')}>
      <select className="select" {...form.register('details.standing.placeId')}>
        <option value="">where it stood</option>
        <PlaceOptions />
      </select>
    </Field>
  ),
  told: (v) => (v.placeId ? { placeId: v.placeId } : null),
};
