import { taxaByName, taxon } from '@gonimos/core/taxa';
import { Field } from '../common/field';

interface Props {
  taxonId: string;
  value: readonly string[];
  onChange: (next: string[]) => void;
  error?: string;
}
const MOST = 3;

/** Kinds it may be instead, until leaves or flowers tell; the plan spares the tenderest of them. */
export function MaybeField({ taxonId, value, onChange, error }: Props) {
  const left = taxaByName().filter((t) => t.id !== taxonId && !value.includes(t.id));
  return (
    <div>
      {value.length < MOST && (
        <Field label="Not sure? It may also be" hint="until seen in leaf or flower" error={error}>
          <select className="select" value="" onChange={(e) => onChange([...value, e.target.value])}>
            <option value="">nothing else: it is known</option>
            {left.map((t) => (
              <option key={t.id} value={t.id}>
                {t.name}
              </option>
            ))}
          </select>
        </Field>
      )}
      {value.length > 0 && (
        <p className="mt-2 flex flex-wrap items-center gap-2">
          <span className="soft">One of these:</span>
          <strong>{taxon(taxonId).name}</strong>
          {value.map((id) => (
            <button
              key={id}
              type="button"
              className="btn btn-ghost border border-base-300"
              onClick={() => onChange(value.filter((x) => x !== id))}
            >
              {taxon(id).name} <span aria-hidden>×</span>
              <span className="sr-only">: take it off</span>
            </button>
          ))}
        </p>
      )}
    </div>
  );
}
