import { percent } from '@gonimos/core/words';
import { useState } from 'react';
import { MARKER_WORDS } from '@gonimos/core/course';
import { LANES, operation, operations, type Operation, type WindowSpec } from '@gonimos/core/operations';
import { OwnLine, useOwn } from './own';
import { groupName } from './window-fields';
import { inUnits, temperature } from '../common/units';

const edge = ([marker, days]: [keyof typeof MARKER_WORDS, number]) =>
  days === 0
    ? MARKER_WORDS[marker]
    : `${Math.abs(days)} days ${days < 0 ? 'before' : 'after'} ${MARKER_WORDS[marker]}`;

/** A window in words. */
export function windowWords(w: WindowSpec): string {
  if (w.kind === 'season') return `${edge(w.opens)} to ${edge(w.closes)}${w.outdoors ? ', outdoors' : ''}`;
  if (w.kind === 'lag') return `${w.opens} to ${w.closes} days after the step before`;
  if (w.kind === 'growth') return `once ${w.opens} of a growing season has passed, for ${w.days} days`;
  if (w.kind === 'cold')
    return w.side === 'first'
      ? `${-w.opens} days before the first night too cold for the kind, one year in fifty`
      : `from the last night too cold for the kind, one year in fifty, for ${w.closes} days`;
  if (w.kind === 'swelling')
    return `before the ${w.part} has swollen by ${percent(w.share)} of its thickness`;
  if (w.kind === 'tips') return 'from half up until tips reach the cover';
  const sum = typeof w.degreeDays === 'number' ? w.degreeDays : 'the taxon’s own';
  return inUnits(`after ${sum} °C·d above ${w.base ?? 5} °C, for ${w.days} days`);
}

function Details({ o }: { o: Operation }) {
  const facts: [string, string][] = [
    ...Object.entries(o.windows).map(([g, w]): [string, string] => [
      g === 'any' && Object.keys(o.windows).length === 1 ? 'Window' : `Window, ${groupName(g)}`,
      windowWords(w),
    ]),
    ...(o.rootLoss.value > 0 ? [['Takes of the root', percent(o.rootLoss.value)] as [string, string]] : []),
    ...(o.topLoss.value > 0 ? [['Takes of the top', percent(o.topLoss.value)] as [string, string]] : []),
    ...(o.recovery.value > 0
      ? [['Rest before the next', `${o.recovery.value} growing seasons`] as [string, string]]
      : []),
    ...(o.established
      ? [['Stood undisturbed', `${o.established.value} growing seasons`] as [string, string]]
      : []),
    ...(o.guard ? [['Coldest night after it', temperature(o.guard.value)] as [string, string]] : []),
    [
      'Time',
      `${o.minutes.value} person-minutes a plant${o.crew > 1 ? `, ${o.crew} people` : ''}${o.skilled ? ', wants practice' : ''}`,
    ],
    ...(o.tools.length > 0 ? [['Tools', o.tools.join(', ')] as [string, string]] : []),
    ...(o.aftercare.length > 0
      ? [
          ['Followed by', [...new Set(o.aftercare.map((a) => operation(a.operation).name))].join(', ')] as [
            string,
            string,
          ],
        ]
      : []),
  ];
  return (
    <dl className="grid gap-x-4 gap-y-1 text-sm sm:grid-cols-[14rem_1fr]">
      {facts.map(([name, text]) => (
        <div key={name} className="contents">
          <dt className="soft">{name}</dt>
          <dd>{text}</dd>
        </div>
      ))}
      {o.caution && (
        <div className="contents">
          <dt className="soft">Mind</dt>
          <dd className="font-semibold text-warning">{o.caution} Local rules come first.</dd>
        </div>
      )}
    </dl>
  );
}

const OwnMark = ({ id }: { id: string }) =>
  useOwn('operation', id) ? <span className="soft font-normal"> · yours</span> : null;

const LANE_WORDS = { roots: 'Roots', top: 'Top', container: 'Container', care: 'Care' };

export function Operations() {
  const [find, setFind] = useState('');
  const text = find.trim().toLowerCase();
  return (
    <div className="grid gap-6">
      <div className="flex flex-wrap items-center gap-3">
        <input
          className="input max-w-72"
          type="search"
          placeholder="Find an operation"
          aria-label="Find an operation"
          value={find}
          onChange={(e) => setFind(e.target.value)}
        />
        <p className="soft">
          {operations().length} kinds of work. Windows, losses, rest and minutes are common practice, no
          source, unless they are yours.
        </p>
      </div>
      {LANES.map((lane) => {
        const all = operations().filter((o) => o.lane === lane && o.name.toLowerCase().includes(text));
        if (all.length === 0) return null;
        return (
          <section key={lane}>
            <h2 className="mb-2 text-xl">{LANE_WORDS[lane]}</h2>
            <ul className="card-plain divide-y divide-base-300">
              {all.map((o) => (
                <li key={o.id}>
                  <details className="px-4 py-2">
                    <summary className="cursor-pointer py-1.5 font-semibold">
                      {o.name}
                      <OwnMark id={o.id} />
                    </summary>
                    <div className="py-2">
                      <Details o={o} />
                      <OwnLine kind="operation" id={o.id} name={o.name} />
                    </div>
                  </details>
                </li>
              ))}
            </ul>
          </section>
        );
      })}
    </div>
  );
}
