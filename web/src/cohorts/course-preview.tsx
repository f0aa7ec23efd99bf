import { useState } from 'react';
import { container } from '@gonimos/core/containers';
import type { Course, PlannedStep } from '@gonimos/core/course';
import { packRings } from '@gonimos/core/trunk';
import { dateSpan, readable, seasonYear } from '../common/dates';
import { millimetres, spanWords } from '../common/words';
import { Section } from '../common/section';
import { Why } from '../common/why';

interface Props {
  course: Course;
  today: string;
  target: number | null;
  name: string;
}

/** The container a plant stands in at the end of a season, by the plan. */
function containerIn(steps: PlannedStep[], season: number): string {
  const moved = steps.filter(
    (s) => s.container && Number((s.doneOn ?? s.target ?? '9999').slice(0, 4)) <= season,
  );
  return moved.at(-1)?.container ?? steps.find((s) => s.container)?.container ?? 'pot-9';
}

/** A course before it is entered: year by year, what is done, when, and what the trunk should be by then. */
export function CoursePreview({ course, today, target, name }: Props) {
  const [why, setWhy] = useState<PlannedStep | null>(null);
  const dated = course.steps.filter((s) => s.status === 'planned');
  const none = course.steps.filter((s) => s.status === 'none');
  const fullScale = 1.1 * Math.max(target ?? 0, ...course.rings.map((r) => r.caliper));
  const years = [...new Set(dated.map((s) => seasonYear(s.opens!)))].sort((a, b) => a - b);
  const span = course.endsOn ? seasonYear(course.endsOn) - seasonYear(today) : 0;
  return (
    <div>
      <h2 className="text-2xl">Its course</h2>
      <p className="soft mb-4">
        {dated.length} steps over {span === 1 ? 'a year' : `${span} years`}, from the season of the place. Tap
        a date to see why.
      </p>
      <ol className="grid gap-5">
        {years.map((year) => {
          const ring = course.rings.find((r) => r.season === year);
          return (
            <li key={year} className="grid grid-cols-[5.5rem_1fr] gap-4">
              <div className="text-center">
                <Section
                  rings={packRings(course.rings.filter((r) => r.season <= year))}
                  season={year + 1}
                  containerId={containerIn(course.steps, year)}
                  target={target}
                  size={72}
                  fullScale={fullScale}
                />
                <p className="font-bold">{year}</p>
                {ring && <p className="soft text-sm">{millimetres(ring.slow, ring.fast)}</p>}
              </div>
              <ul className="divide-y divide-base-300 self-start">
                {dated
                  .filter((s) => seasonYear(s.opens!) === year)
                  .sort((a, b) => (a.opens! < b.opens! ? -1 : 1))
                  .map((s) => (
                    <li key={s.key} className="flex flex-wrap items-baseline justify-between gap-x-4 py-1.5">
                      <span>
                        {s.title}
                        {s.container && <span className="sr-only"> into {container(s.container).name}</span>}
                        {s.span && <span className="soft block text-sm">{spanWords(s.span)}</span>}
                      </span>
                      <button
                        type="button"
                        className="min-h-8 whitespace-nowrap underline decoration-base-300 underline-offset-4 hover:decoration-base-content"
                        onClick={() => setWhy(s)}
                      >
                        {dateSpan(s.opens!, s.closes!, `${year}-01-01`)}
                        <span className="sr-only">: why</span>
                      </button>
                    </li>
                  ))}
              </ul>
            </li>
          );
        })}
      </ol>
      {none.length > 0 && (
        <section className="mt-6">
          <h3 className="text-lg text-error">Without a date for {name}</h3>
          <ul>
            {none.map((s) => (
              <li key={s.key} className="py-1">
                {s.title}:{' '}
                <span className="soft">{readable(s.reasons.find((r) => r.binding)?.text ?? '', today)}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {why && <Why title={why.title} reasons={why.reasons} today={today} onClose={() => setWhy(null)} />}
    </div>
  );
}
