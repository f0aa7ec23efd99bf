import type { Bed } from '@gonimos/contract/beds';
import { plural } from '@gonimos/core/words';
import { seasonYear } from '../common/dates';
import { Section } from '../common/section';
import { useToday } from '../nursery/queries';
import { useBedChoice } from './bed-choice';
import { useBeds } from './queries';

/** Each kind of place has an outline of its own, as it looks from above. */
const OUTLINE: Record<Bed['kind'], string> = {
  outdoors: 'bed-bench',
  frame: 'bed-frame',
  house: 'bed-house',
  ground: 'bed-ground',
};

function Due({ bed }: { bed: Bed }) {
  if (bed.due + bed.missed === 0) return null;
  return (
    <span className="font-bold whitespace-nowrap text-accent">
      {bed.due > 0 && bed.due}
      {bed.due > 0 && <span className="sr-only"> due</span>}
      {bed.missed > 0 && (
        <span className="ml-1.5 bg-[var(--due)] px-1 text-sm font-semibold">{bed.missed} missed</span>
      )}
    </span>
  );
}

function BedButton({
  bed,
  season,
  chosen,
  choose,
}: {
  bed: Bed;
  season: number;
  chosen: boolean;
  choose: () => void;
}) {
  return (
    <button
      type="button"
      aria-pressed={chosen}
      className={`bed ${OUTLINE[bed.kind]} ${chosen ? 'bed-chosen' : ''}`}
      onClick={choose}
    >
      <span className="flex flex-wrap items-baseline justify-between gap-x-2">
        <strong className="whitespace-nowrap">{bed.name}</strong>
        <Due bed={bed} />
      </span>
      <span className="mt-1.5 flex flex-wrap gap-1" aria-hidden="true">
        {bed.some.map((c) => (
          <Section
            key={c.id}
            rings={c.rings}
            season={season}
            containerId={c.container}
            target={null}
            size={18}
          />
        ))}
        {bed.cohorts > bed.some.length && (
          <span className="soft text-sm leading-[18px]">+{bed.cohorts - bed.some.length}</span>
        )}
        {bed.cohorts === 0 && <span className="soft text-sm">empty</span>}
      </span>
    </button>
  );
}

/** The nursery seen from above: each place a bed with its cohorts. Choosing one narrows the page. */
export function Beds() {
  const beds = useBeds().data;
  const today = useToday();
  const [bed, choose] = useBedChoice();
  if (!beds || today === '') return <div className="w-52 shrink-0 max-lg:hidden" />;
  const plants = beds.reduce((n, b) => n + b.plants, 0);
  const cohorts = beds.reduce((n, b) => n + b.cohorts, 0);
  return (
    <nav
      aria-label="The nursery from above"
      className="no-print sticky top-0 grid max-h-dvh w-52 shrink-0 content-start gap-2.5 self-start overflow-y-auto py-5 pl-5 max-lg:hidden"
    >
      {beds.map((b) => (
        <BedButton
          key={b.id}
          bed={b}
          season={seasonYear(today)}
          chosen={b.id === bed}
          choose={() => choose(b.id)}
        />
      ))}
      <p className="soft text-sm">
        {plants.toLocaleString('en-GB')} plants in {plural(cohorts, 'cohort')}
      </p>
    </nav>
  );
}

/** On a phone the beds are a row of names above the work. */
export function BedRow() {
  const beds = useBeds().data;
  const [bed, choose] = useBedChoice();
  if (!beds) return null;
  return (
    <nav
      aria-label="The nursery from above"
      className="no-print -mx-4 flex gap-2 overflow-x-auto px-4 py-1.5 lg:hidden"
    >
      {beds
        .filter((b) => b.due + b.missed > 0 || b.id === bed)
        .map((b) => (
          <button
            key={b.id}
            type="button"
            aria-pressed={b.id === bed}
            className={`btn shrink-0 gap-1.5 px-3 ${b.id === bed ? 'btn-neutral' : 'border-base-300 bg-base-100'}`}
            onClick={() => choose(b.id)}
          >
            {b.name} <strong>{b.due + b.missed}</strong>
          </button>
        ))}
    </nav>
  );
}
