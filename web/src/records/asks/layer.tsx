import { Field } from '../../common/field';
import { findSpeaks, FindOptions } from '../../layers/find-options';
import type { Ask } from './ask';

/** What the look under the film showed, before a layer is opened or severed. */
export const layer: Ask = {
  subject: 'layer',
  counts: true,
  asked: (op) => op?.layer !== undefined,
  first: () => ({ found: '' }),
  Fields: ({ op, form, fault }) => {
    const speaks = op?.layer === 'looked' ? null : findSpeaks(form.watch('details.layer.found') ?? '');
    return (
      <Field label="Under the film" hint={speaks ?? undefined} error={fault('found')}>
        <select className="select" {...form.register('details.layer.found')}>
          <FindOptions />
        </select>
      </Field>
    );
  },
  told: (v) => (v.found ? { found: v.found as never, split: null } : null),
};
