import { plural, percent } from '@gonimos/core/words';
import { useState } from 'react';
import type { RootBench } from '@gonimos/contract/root-records';
import { container } from '@gonimos/core/containers';
import { CLASSES, classOf } from '@gonimos/core/roots';
import { sampleFor } from '@gonimos/core/stats';
import { shortDate } from '../common/dates';
import { Field } from '../common/field';
import { NumberInput } from '../common/number-input';

/** Scores of roots in a cohort differ by so much, until some are drawn. Common practice, no source. */
const SPREAD = 15;
/** How alike plants of a tray are. */
const ALIKE = 0.1;

function Sample({ plants, scores }: { plants: number; scores: readonly number[] }) {
  const [within, setWithin] = useState(5);
  const [tray, setTray] = useState(1);
  const mean = scores.reduce((a, b) => a + b, 0) / Math.max(1, scores.length);
  const own = Math.sqrt(scores.reduce((sum, s) => sum + (s - mean) ** 2, 0) / Math.max(1, scores.length - 1));
  const sd = scores.length >= 5 ? Math.max(3, own) : SPREAD;
  const n =
    within > 0 && tray >= 1
      ? sampleFor({ plants, sd, within, perTray: tray, alike: tray > 1 ? ALIKE : 0 })
      : null;
  return (
    <div className="grid gap-2">
      <div className="grid max-w-md grid-cols-2 gap-3">
        <Field label="Know it to ±" hint="points of a hundred">
          <NumberInput value={within} onChange={setWithin} />
        </Field>
        <Field label="Looked at in one tray" hint="1 where they stand singly">
          <NumberInput value={tray} onChange={setTray} />
        </Field>
      </div>
      <p>
        {n === null ? (
          <span className="text-error">Give a number above 0.</span>
        ) : (
          <>
            Look at <strong>{n}</strong> of {plants}, taken without choosing.{' '}
            <span className="soft">
              Spread {sd.toFixed(0)} points, {scores.length >= 5 ? 'of those drawn here' : 'common practice'};
              right in 95 of 100 such samples.
            </span>
          </>
        )}
      </p>
    </div>
  );
}

const COLOURS = ['bg-[var(--celadon-deep)]', 'bg-[var(--wood)]', 'bg-[var(--rust)]'];

/** Series work on seedlings: the card for it, how many to look at, and what they were like over the years. */
export function Series({
  bench,
  plants,
  scores,
  today,
}: {
  bench: RootBench;
  plants: number;
  scores: readonly number[];
  today: string;
}) {
  const { protocol: p } = bench;
  return (
    <section aria-label="The whole cohort" className="grid gap-4 border-t border-base-300 pt-4">
      <h3 className="text-lg">The whole cohort, {plural(plants, 'plant')}</h3>
      {p.intact ? (
        <p className="max-w-prose">
          They stand as plugs in air-pruning cells: potted on as they are, nothing cut, nothing combed.
        </p>
      ) : (
        <dl className="grid max-w-2xl grid-cols-[auto_minmax(0,1fr)] gap-x-4 gap-y-1">
          <dt className="soft">Shape</dt>
          <dd>
            {p.shape === 'disc' ? 'a flat disc' : 'a cone over a mound'}, {percent(p.bottom)} of the ball off
            underneath
          </dd>
          <dt className="soft">Cut</dt>
          <dd>
            up to {percent(p.cut)} of the root; {p.longShort}
          </dd>
          <dt className="soft">Led</dt>
          <dd>
            {p.angle}
            {p.coil && ', pressed down by a coil of wire at the base: take down the day it is checked'}
          </dd>
          <dt className="soft">Time</dt>
          <dd>about {p.minutes} minutes each</dd>
        </dl>
      )}
      <Sample plants={plants} scores={scores} />
      {scores.length > 0 && (
        <p>
          Drawn so far:{' '}
          {CLASSES.map((c) => `${c} ${scores.filter((s) => classOf(s) === c).length}`).join(', ')}
          <span className="soft">; A from 65 points of a hundred, B from 40. Our own scale.</span>
        </p>
      )}
      {bench.classed.length > 0 && (
        <ul className="grid max-w-2xl gap-2" aria-label="Classes over the years">
          {bench.classed.map((row) => {
            const all = row.A + row.B + row.C || 1;
            return (
              <li key={row.on} className="grid grid-cols-[5.5rem_minmax(0,1fr)] items-center gap-3">
                <span>{shortDate(row.on, today)}</span>
                <span className="flex h-8 overflow-hidden rounded-sm text-sm font-semibold text-[#1c1206]">
                  {CLASSES.map(
                    (c, i) =>
                      row[c] > 0 && (
                        <span
                          key={c}
                          className={`grid place-items-center ${COLOURS[i]}`}
                          style={{ width: `${(100 * row[c]) / all}%` }}
                        >
                          {c} {row[c]}
                        </span>
                      ),
                  )}
                </span>
                <span className="soft col-start-2 text-sm">
                  in {container(row.container).name}
                  {row.C > 0 && `; ${row.C} of class C are for culling, or for growing on as stock`}
                </span>
              </li>
            );
          })}
        </ul>
      )}
    </section>
  );
}
