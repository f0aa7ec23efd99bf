import { percent } from '@gonimos/core/words';
import { compassWord, type Measures, type RootPlan } from '@gonimos/core/roots';
import { length } from '../common/units';

interface Line {
  name: string;
  why: string;
  of: (m: Measures) => string;
}

const told = (m: Measures): string => {
  const e = m.evenness;
  if (e.told === 'too few') return 'too few to tell';
  return e.told === 'not from chance' ? 'cannot be told from chance' : e.told;
};

const LINES: readonly Line[] = [
  {
    name: 'Directions filled',
    why: 'Sectors of 30° in which a root leaves the trunk, of twelve.',
    of: (m) => `${m.sectors} of 12`,
  },
  {
    name: 'Widest bare side',
    why: 'The largest gap between neighbours, and where its middle lies.',
    of: (m) => (m.widest ? `${Math.round(m.widest.gap)}° ${compassWord(m.widest.middle)}` : '–'),
  },
  {
    name: 'Evenness',
    why: 'Rayleigh’s test sees roots that come from one side, Rao’s spacing test bunches; with few roots both are weak, and nothing is called even.',
    of: told,
  },
  {
    name: 'Pull to one side',
    why: 'Mean resultant length weighted by cross-section: 0 % in balance, 100 % all in one direction (Fisher 1993).',
    of: (m) => (m.balance ? percent(m.balance.weighted) : '–'),
  },
  {
    name: 'Thickest root’s share',
    why: 'Its cross-section of all.',
    of: (m) => (m.dominance === null ? '–' : percent(m.dominance)),
  },
  {
    name: 'Off the root plane',
    why: 'Root-mean-square distance of the roots from their mean level.',
    of: (m) => (m.scatter === null ? '–' : `±${length(m.scatter, 1)}`),
  },
  {
    name: 'Forks near the trunk',
    why: 'Side arms within two trunks of the stem, a root: many are better than a few long thick ones.',
    of: (m) => m.forking.toFixed(1),
  },
  {
    name: 'Flare',
    why: 'Width over opposite roots half a trunk out, in trunks.',
    of: (m) => (m.flare === null ? '–' : `${m.flare.toFixed(1)} ×`),
  },
  {
    name: 'Angle as the school has it',
    why: 'Share of roots within the angles of the school that is followed.',
    of: (m) => (m.angleFit === null ? '–' : percent(m.angleFit)),
  },
];

/** What is measured while drawing, and what it becomes by the plan. */
export function MeasureTable({ now, plan }: { now: Measures; plan: RootPlan | null }) {
  const rows: [name: string, why: string, now: string, after: string][] = LINES.map((l) => [
    l.name,
    l.why,
    l.of(now),
    plan ? l.of(plan.measures.after) : '',
  ]);
  return (
    <section aria-label="Measures">
      <div className="flex items-baseline justify-between gap-3">
        <h3 className="text-lg">Measures</h3>
        {plan && (
          <p>
            <span className="font-head text-2xl font-bold">{plan.score.now}</span>
            <span className="soft"> → </span>
            <strong>{plan.score.after}</strong>
            <span className="soft"> after the work, </span>
            <strong>{plan.score.later}</strong>
            <span className="soft"> in two seasons</span>
          </p>
        )}
      </div>
      <ul className="mt-1">
        {rows.map(([name, why, is, after]) => (
          <li key={name} className="border-b border-base-300 py-1">
            <details>
              <summary className="grid min-h-9 cursor-pointer grid-cols-[minmax(0,1fr)_auto] items-baseline gap-3">
                <span>{name}</span>
                <span className="text-right">
                  <strong>{is}</strong>
                  {after !== '' && after !== is && <span className="text-primary"> → {after}</span>}
                </span>
              </summary>
              <p className="soft text-sm">{why}</p>
            </details>
          </li>
        ))}
      </ul>
    </section>
  );
}
