import { Field } from '../../common/field';
import { typed } from '../../common/numbers';
import { NUMBER, type Ask } from './ask';

/** Some weeks after a cut: what broke below it. It teaches where the next stem of the kind may be cut. */
export const sprouts: Ask = {
  subject: 'sprouts',
  asked: (op) => op?.asks.includes('sprouts') ?? false,
  first: () => ({ cut: '', broke: '', shoots: '' }),
  Fields: ({ step, form, fault }) => (
    <div className="grid grid-cols-3 gap-4">
      <Field label="Stems looked at" hint={`of ${step.live}`} error={fault('cut')}>
        <input {...NUMBER} {...form.register('details.sprouts.cut')} />
      </Field>
      <Field label="Of them broke" hint="shoots below the cut" error={fault('broke')}>
        <input {...NUMBER} {...form.register('details.sprouts.broke')} />
      </Field>
      <Field label="Shoots in all" hint="where counted" error={fault('shoots')}>
        <input {...NUMBER} {...form.register('details.sprouts.shoots')} />
      </Field>
    </div>
  ),
  told: (v) => {
    const cut = typed(v.cut);
    const broke = typed(v.broke);
    if (cut === undefined && broke === undefined) return null;
    // one of the two alone is a fault, and said at the other
    return { cut: cut as number, broke: broke as number, shoots: typed(v.shoots) ?? null };
  },
};
