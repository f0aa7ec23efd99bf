import { percent, plural } from '@gonimos/core/words';
import { useState } from 'react';
import type { Cohort } from '@gonimos/contract/cohorts';
import type { Sowing as Data } from '@gonimos/contract/seed';
import { shortDate } from '../common/dates';
import { Loading } from '../common/loading';
import { EmergenceChart } from './emergence-chart';
import { CoverSheet, UncoverButton } from './covers';
import { useSowing } from './queries';
import { inUnits, length } from '../common/units';

const RISK = {
  low: 'Nothing was eaten here at this time of year.',
  raised: 'Something was eaten here at this time of year.',
  high: 'Animals are likely to take seed here now.',
};

function Risk({ risk, today }: { risk: Data['risk']; today: string }) {
  const tone = { low: '', raised: 'bg-[var(--slip)]', high: 'bg-[var(--due)]' }[risk.level];
  return (
    <section className={`rounded-box ${risk.level === 'low' ? '' : 'px-4 py-3'} ${tone}`}>
      <h2 className="mb-1 text-lg">Animals</h2>
      <p>
        {RISK[risk.level]}{' '}
        <span className="soft">
          {risk.learnedOn &&
            `They found this place ${shortDate(risk.learnedOn, today)} and come back for weeks. `}
          {risk.times > 0 &&
            `${percent(risk.share)} of what was sown, ${plural(risk.times, 'time')} on record.`}
        </span>
      </p>
    </section>
  );
}

/** What a sowing has shown: emergence over time, covers, animals, what was lost before it showed. */
export function Sowing({ cohort, today }: { cohort: Cohort; today: string }) {
  const { data, error } = useSowing(cohort.id);
  const [covering, setCovering] = useState(false);
  if (!data) return <Loading error={error} />;
  const { curve } = data;
  return (
    <aside className="grid grid-cols-[minmax(0,1fr)] content-start gap-6">
      <section>
        <h2 className="mb-1 text-lg">Emergence</h2>
        <EmergenceChart sowing={data} today={today} />
        <p className="mt-1">
          <strong>
            {curve.up} of {data.sown}
          </strong>{' '}
          up
          {curve.t50 !== null && (
            <>
              {' '}
              · half of them after <strong>{curve.t50.toFixed(1)} days</strong>
            </>
          )}
          {data.warmthToHalf !== null && (
            <span className="soft"> and {inUnits(`${Math.round(data.warmthToHalf)} °C·d above 5 °C`)}</span>
          )}
          {curve.t50 === null && data.expected && (
            <span className="soft"> · half expected up {shortDate(data.expected, today)}</span>
          )}
        </p>
        {curve.points.length > 1 && (
          <p className="soft text-sm">
            Half by Coolbear, Francis &amp; Grierson 1984, of {curve.up} that came up; mean{' '}
            {curve.mean!.toFixed(1)} days.
          </p>
        )}
        {data.lost.length > 0 && (
          <p className="mt-1">Lost before: {data.lost.map((l) => `${l.count} ${l.cause}`).join(', ')}</p>
        )}
      </section>
      <Risk risk={data.risk} today={today} />
      <section>
        <header className="flex items-baseline justify-between gap-3">
          <h2 className="text-lg">Covers</h2>
          <button type="button" className="no-print btn btn-outline" onClick={() => setCovering(true)}>
            Cover
          </button>
        </header>
        {data.protections.length === 0 && <p className="soft">Nothing lies over them.</p>}
        <ul className="divide-y divide-base-300">
          {data.protections.map((p) => (
            <li key={p.id} className="flex flex-wrap items-center justify-between gap-2 py-2">
              <span className={p.ended ? 'soft' : ''}>
                <strong>{p.kind}</strong>, {length(p.clearance)} clear, on {shortDate(p.from, today)}
                {p.ended ? `, off ${shortDate(p.ended, today)}` : ''}
                {!p.ended && p.until && (
                  <span
                    className={`block text-sm ${p.until <= today ? 'font-semibold text-accent' : 'soft'}`}
                  >
                    off before tips touch it: by {shortDate(p.until, today)}
                  </span>
                )}
                {p.note && <span className="soft block text-sm">{p.note}</span>}
              </span>
              {!p.ended && <UncoverButton cover={p} today={today} />}
            </li>
          ))}
        </ul>
      </section>
      {covering && <CoverSheet cohort={cohort} today={today} onClose={() => setCovering(false)} />}
    </aside>
  );
}
