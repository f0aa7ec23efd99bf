import type { RootBench } from '@gonimos/contract/root-records';
import { containers } from '@gonimos/core/containers';
import { centring, type RootRecord } from '@gonimos/core/roots';
import { sideWords } from '@gonimos/core/stem';
import { plural } from '@gonimos/core/words';
import { Field } from '../common/field';
import { length } from '../common/units';
import { StanceFields, stanceOf } from '../stem/stance';
import type { useDrawing } from './use-drawing';

type At = ReturnType<typeof useDrawing>;

/** The pot it goes into, how it is to stand, and where in it. */
export function PotFields({ at, bench }: { at: At; bench: RootBench }) {
  const { record, decided, turned } = at.drawing;
  const shown = decided.container ?? bench.container ?? '';
  const set = (more: Partial<typeof decided>) => at.act({ do: 'decide', decided: more });
  return (
    <details className="border-t border-base-300">
      <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">
        The pot, and how it stands in it
      </summary>
      <div className="grid gap-3 pb-3">
        <Field label="Goes into">
          <select className="select" value={shown} onChange={(e) => set({ container: e.target.value })}>
            {containers()
              .filter((c) => !c.shared)
              .map((c) => (
                <option key={c.id} value={c.id}>
                  {c.name}
                </option>
              ))}
          </select>
        </Field>
        <StanceFields
          key={turned}
          stance={stanceOf(record.front, decided)}
          leans={false}
          onChange={(lean, place) => set({ lean, ...place })}
        />
      </div>
      <Centred record={record} decided={decided} limit={bench.limit.share} />
    </details>
  );
}

/** How the trunk comes to the middle over the years, where it stands off it. */
function Centred({
  record,
  decided,
  limit,
}: {
  record: RootRecord;
  decided: At['drawing']['decided'];
  limit: number;
}) {
  const way = centring(record, decided.aside, decided.behind, limit);
  if (way?.moves.length === 0) return null;
  return (
    <p className="soft pb-3">
      {way
        ? `It stands ${length(way.off)} off the middle. Brought there in ${plural(way.moves.length, 'move')}, of ${way.moves.map((mm) => length(mm)).join(', ')}: each time the ball is shortened on its long side alone, ${sideWords(way.towards + 180)}. Common practice, no source.`
        : 'So far off the middle it does not come there by the root work it bears.'}
    </p>
  );
}
