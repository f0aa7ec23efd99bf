import { percent, plural } from '@gonimos/core/words';
import { useState } from 'react';
import type { Param } from '@gonimos/core/params';
import { EASE, FREE_RING, GROWTH_GROUPS, taxa, type GrowthGroup, type Taxon } from '@gonimos/core/taxa';
import { OwnLine } from './own';
import { useScores } from '../visits/queries';
import { figure } from '../common/units';

const value = (p: Param | undefined) => (p ? figure(p.value, p.unit).trim() : 'not known');
/** Where a value comes from, for those that are not common practice: that is said once for all. */
const basis = (p: Param) =>
  p.basis === 'common practice' ? '' : ` (${p.basis}${p.source ? `, ${p.source}` : ''})`;

const WOODS = {
  softwood: 'softwood',
  'semi-ripe': 'semi-ripe',
  hardwood: 'hardwood',
  root: 'root',
  water: 'in water',
} as const;

/** Kinds of cutting from best to worst, each with how readily it roots; those that hardly ever do come last, unnumbered. */
function rootsWords(t: Taxon): string {
  const order = Object.keys(EASE);
  const kinds = (Object.entries(t.roots) as [keyof typeof WOODS, keyof typeof EASE][]).sort(
    (a, b) => order.indexOf(a[1]) - order.indexOf(b[1]),
  );
  const rooting = kinds
    .filter(([, ease]) => ease !== 'hardly')
    .map(([wood, ease]) => `${WOODS[wood]} ${Math.round(EASE[ease].cuttings.value * 100)} %`);
  if (rooting.length === 0) return 'hardly ever root, of any kind';
  return rooting.length === kinds.length ? rooting.join(', ') : `${rooting.join(', ')}; others hardly ever`;
}
function seedWords(t: Taxon): string {
  if (t.sown) return `sown as it ripens, in ${t.sown}; does not keep`;
  return `${t.scarify ? 'nicked or steeped first; ' : ''}keeps about ${plural(t.keeps.value, 'year')} dry`;
}

/** How the groups bear root and top loss, and how well the stated odds did. */
function Groups() {
  const scores = useScores().data;
  return (
    <section className="grid gap-3">
      <h2 className="text-xl">Growth groups</h2>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Growth groups">
        <table className="w-full min-w-3xl">
          <thead className="soft text-left text-sm">
            <tr>
              {[
                'Group',
                'Bears root loss',
                'Bears top loss',
                'Floor of the reserve',
                'Largest root cut',
                'Crown regained',
                'Learned here',
              ].map((h) => (
                <th key={h} scope="col" className="py-1 pr-4 font-normal">
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody className="divide-y divide-base-300">
            {(Object.entries(GROWTH_GROUPS) as [GrowthGroup, (typeof GROWTH_GROUPS)[GrowthGroup]][]).map(
              ([id, g]) => {
                const s = scores?.groups.find((x) => x.group === id);
                return (
                  <tr key={id}>
                    <th scope="row" className="py-2 pr-4 text-left">
                      {g.name}
                    </th>
                    <td className="py-2 pr-4">{g.rootTolerance.value}</td>
                    <td className="py-2 pr-4">{g.topTolerance.value}</td>
                    <td className="py-2 pr-4">{g.floor.value}</td>
                    <td className="py-2 pr-4">{percent(g.largestRootCut.value)}</td>
                    <td className="py-2 pr-4">{g.crownRecovery.value} a season</td>
                    <td className="py-2 pr-4">
                      {s ? (
                        `× ${s.factor} from ${s.score.plants} plants`
                      ) : (
                        <span className="soft">nothing yet</span>
                      )}
                    </td>
                  </tr>
                );
              },
            )}
          </tbody>
        </table>
      </div>
      <p className="soft text-sm">
        Common practice, no source; shares of 1. Learned: a factor on what the group bears.
      </p>
      {scores && scores.all.looks > 0 && (
        <p>
          <strong>Odds against outcomes:</strong> {scores.all.looks} severe steps looked at after two weeks,{' '}
          {scores.all.plants} plants. Brier score of the model {scores.all.model ?? 'none'}, of the growers{' '}
          {scores.all.grower ?? 'none'}.{' '}
          <span className="soft">0 is perfect, 0.25 is “half and half” every time (Brier 1950).</span>
        </p>
      )}
    </section>
  );
}

export function Taxa() {
  const [find, setFind] = useState('');
  const [group, setGroup] = useState('');
  const wanted = taxa()
    .filter(
      (t) =>
        (group === '' || t.group === group) &&
        `${t.name} ${t.botanical} ${t.code}`.toLowerCase().includes(find.trim().toLowerCase()),
    )
    .toSorted((a, b) => a.name.localeCompare(b.name));
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-8">
      <section className="grid grid-cols-[minmax(0,1fr)] gap-3">
        <div className="flex flex-wrap gap-3">
          <input
            className="input max-w-72"
            type="search"
            placeholder="Find a taxon"
            aria-label="Find a taxon"
            value={find}
            onChange={(e) => setFind(e.target.value)}
          />
          <select
            className="select w-auto"
            aria-label="Growth group"
            value={group}
            onChange={(e) => setGroup(e.target.value)}
          >
            <option value="">every group</option>
            {Object.entries(GROWTH_GROUPS).map(([id, g]) => (
              <option key={id} value={id}>
                {g.name}
              </option>
            ))}
          </select>
          <p className="soft self-center">{wanted.length} taxa</p>
        </div>
        <p className="soft text-sm">
          Common practice, no source, unless a value says otherwise. Shares of cuttings are those that root.
        </p>
        <ul className="grid gap-2.5 md:grid-cols-2 2xl:grid-cols-3">
          {wanted.map((t) => (
            <li key={t.id} className="card-plain p-4">
              <h3 className="text-lg">
                {t.name} <span className="soft font-sans text-base font-normal">{t.code}</span>
              </h3>
              <p className="soft">
                <i>{t.botanical}</i> · {GROWTH_GROUPS[t.group].name}
              </p>
              <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-4 text-sm">
                {(
                  [
                    ['Bears in a pot', t.hardyTo],
                    ['Free ring', FREE_RING[t.pace]],
                    ...(t.warmStratification ? [['Warm for seed', t.warmStratification]] : []),
                    ['Cold for seed', t.stratification],
                    ['Up after', t.emergence],
                  ] as [string, Param][]
                ).map(([name, p]) => (
                  <div key={name} className="contents">
                    <dt className="soft">{name}</dt>
                    <dd>
                      {value(p)}
                      <span className="soft">{basis(p)}</span>
                    </dd>
                  </div>
                ))}
                <dt className="soft">Buds</dt>
                <dd>{t.phenology === 'warm-season' ? 'by warmth and rain' : `${t.buds} kind`}</dd>
                <dt className="soft">Seed</dt>
                <dd>{seedWords(t)}</dd>
                <dt className="soft">Cuttings</dt>
                <dd>{rootsWords(t)}</dd>
                <dt className="soft">Layers</dt>
                <dd>{EASE[t.layering].words}</dd>
                <dt className="soft">Bark, old wood</dt>
                <dd>
                  {t.bark}, {t.sproutsOld ? 'sprouts from old wood' : 'nothing from bare old wood'}
                </dd>
              </dl>
              {t.caution && <p className="mt-2 text-sm font-semibold text-warning">{t.caution}</p>}
              <OwnLine kind="taxon" id={t.id} name={t.name} />
            </li>
          ))}
        </ul>
      </section>
      <Groups />
    </div>
  );
}
