import type { RootBench } from '@gonimos/contract/root-records';
import { exposure, type ExposureStage, type RootRecord } from '@gonimos/core/roots';
import { shortDate } from '../common/dates';
import { length } from '../common/units';

/** Over a rock roots are uncovered so often where the course does not say. */
const STAGES = 2;

/** Stages of uncovering, as many as the course has. */
const stagesOf = (record: RootRecord, exposures: RootBench['exposures']): ExposureStage[] =>
  exposures.length > 0
    ? exposure(record, exposures.length)
    : record.under?.kind === 'rock'
      ? exposure(record, STAGES)
      : [];

/** What waits at the stage that is next. */
export function leftAtExposure(record: RootRecord, bench: RootBench): string[] {
  const at = bench.exposures.findIndex((e) => e.key === bench.step?.key);
  const stage = stagesOf(record, bench.exposures)[Math.max(0, at)];
  if (!stage) return [];
  return [
    ...stage.thin.map((id) => `root ${id}: too thin to lie bare at ${stage.to} mm, wrapped`),
    ...stage.short.map((id) => `root ${id}: ends above ${stage.to} mm, led down anew`),
  ];
}

/** When a stage was, or is to be. */
function whenWords(step: RootBench['exposures'][number] | undefined, today: string): string {
  if (!step) return '';
  if (step.doneOn) return `done ${shortDate(step.doneOn, today)}`;
  return step.opens ? `from ${shortDate(step.opens, today)}` : 'no date yet';
}

/** How roots come to light: stage by stage, how deep, which lie bare, which wait. */
export function Exposure({
  record,
  exposures,
  today,
}: {
  record: RootRecord;
  exposures: RootBench['exposures'];
  today: string;
}) {
  const stages = stagesOf(record, exposures);
  if (stages.length === 0) return null;
  return (
    <section aria-label="Uncovering" className="grid gap-2">
      <h3 className="text-lg">Uncovering the roots</h3>
      <ol>
        {stages.map((s, i) => (
          <li
            key={s.to}
            className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-3 border-b border-base-300 py-1.5"
          >
            <strong>{exposures[i]?.title ?? `Stage ${i + 1}`}</strong>
            <span className="soft">{whenWords(exposures[i], today)}</span>
            <span className="col-span-2">
              down to {length(s.to)}; bare {s.bare.join(', ') || 'none'}
              {s.thin.length > 0 && (
                <span className="font-semibold text-accent">
                  {' '}
                  · {s.thin.join(', ')} too thin yet: wrapped
                </span>
              )}
              {s.short.length > 0 && (
                <span className="font-semibold text-accent">
                  {' '}
                  · {s.short.join(', ')} ends above it: led down anew
                </span>
              )}
            </span>
          </li>
        ))}
      </ol>
      <p className="soft text-sm">
        Two thirds of the depth they reach, in even parts; under 3 mm a root stays covered. Common practice,
        no source.
      </p>
    </section>
  );
}

/** How deep each stage goes, for the drawing. */
export const levelsOf = (record: RootRecord, exposures: RootBench['exposures']): number[] =>
  stagesOf(record, exposures).map((s) => s.to);
