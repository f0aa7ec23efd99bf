import { useState } from 'react';
import { Link } from 'react-router';
import type { Cohort } from '@gonimos/contract/cohorts';
import {
  lineOf,
  lengthOf,
  outFor,
  rootCuttings,
  topToMatch,
  type RootPlan,
  type RootRecord,
} from '@gonimos/core/roots';
import { taxon } from '@gonimos/core/taxa';
import { percent, plural } from '@gonimos/core/words';
import { Field } from '../common/field';
import { NumberInput } from '../common/number-input';
import { temperature } from '../common/units';
import { startPath } from '../common/start-words';

/** Air while the roots lie open, where nothing else is said. */
const MILD = { temperature: 15, humidity: 60 };

/** The top to match, how long the roots may lie open, and what the cut-off gives. */
export function Care({ cohort, record, plan }: { cohort: Cohort; record: RootRecord; plan: RootPlan }) {
  const kind = taxon(cohort.taxonId);
  const [inLeaf, setInLeaf] = useState(false);
  const [humidity, setHumidity] = useState(MILD.humidity);
  const damp = humidity >= 0 && humidity <= 100 ? humidity : MILD.humidity;
  const top = topToMatch(plan.share, { group: kind.group, inLeaf, humidity: damp });
  const out = outFor(kind, { temperature: MILD.temperature, humidity: damp });
  const off = plan.choices.map((c) => ({
    diameter: record.roots[c.root].diameter,
    length: lengthOf(lineOf(record.roots[c.root], record.trunk)) - c.length,
  }));
  const cuttings = rootCuttings(kind, off);
  return (
    <details className="border-t border-base-300">
      <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">
        The top to match, minutes, and what is left over
      </summary>
      <div className="grid gap-3 pb-3">
        <div className="grid grid-cols-2 items-end gap-3">
          <label className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="checkbox"
              checked={inLeaf}
              onChange={(e) => setInLeaf(e.target.checked)}
            />
            In leaf
          </label>
          <Field label="Humidity" hint="%">
            <NumberInput value={humidity} onChange={setHumidity} />
          </Field>
        </div>
        <p>
          {top < 0.03 ? (
            'Nothing need go of the top.'
          ) : (
            <>
              About <strong>{percent(top)}</strong> of the top goes with it, always down to a live branch or
              bud.
            </>
          )}{' '}
          {out ? (
            <>
              At {temperature(MILD.temperature)} the roots may lie open <strong>{out.minutes} minutes</strong>
              , misted every {out.mist}.
            </>
          ) : (
            'The roots are left dry until the wounds are.'
          )}{' '}
          <span className="soft">Common practice, no source; the clock calls for mist by the weather.</span>
        </p>
        {cuttings > 0 && (
          <p>
            What is cut off gives about {plural(cuttings, 'root cutting')} a plant.{' '}
            <Link
              className="link font-semibold"
              to={startPath({ taxonId: cohort.taxonId, programmeId: 'cutting-root' }, cuttings)}
            >
              Lay them
            </Link>
          </p>
        )}
      </div>
    </details>
  );
}
