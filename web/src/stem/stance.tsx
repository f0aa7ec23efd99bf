import type { StanceRow } from '@gonimos/contract/stance';
import { LEAN_MOST, standAlike, UPRIGHT, type Lean, type Stance } from '@gonimos/core/stance';
import { sideWords } from '@gonimos/core/stem';
import { shortDate } from '../common/dates';
import { Field } from '../common/field';
import { MeasureInput } from '../common/measure-input';
import { NumberInput } from '../common/number-input';
import { length, unit } from '../common/units';

/** What a drawing says of how its plant stands; an older one was not asked everything. */
interface Decided {
  lean?: Lean | null;
  aside?: number;
  behind?: number;
}

/** How a plant stands by its drawing, and whether that was decided. */
export const stanceOf = (front: number, { lean, aside, behind }: Decided): Stance & { decided: boolean } => ({
  front,
  ...(lean ?? UPRIGHT),
  aside: aside ?? 0,
  behind: behind ?? 0,
  decided: Boolean(lean),
});

/** "front 200°, S; leaning 6° to the E; 20 mm to the right of the middle" */
export function stanceWords({ front, tilt, towards, aside, behind }: Stance): string {
  const off = (mm: number, on: string, back: string) =>
    mm === 0 ? '' : `${length(Math.abs(mm))} ${mm > 0 ? on : back}`;
  const place = [
    off(aside, 'to the right', 'to the left'),
    off(behind, 'to the back', 'to the front'),
  ].filter(Boolean);
  return [
    `front ${Math.round(front)}°, ${sideWords(front)}`,
    tilt < 0.5 ? 'upright' : `leaning ${Math.round(tilt)}° to the ${sideWords(towards)}`,
    place.length === 0 ? 'in the middle' : place.join(' and '),
  ].join('; ');
}

const BENCH: Record<StanceRow['bench'], string> = { roots: 'at its roots', stem: 'at its stem' };

/** Says so when the plant was last decided to stand otherwise, on another drawing; one tap takes it. */
export function DecidedElsewhere({
  stances,
  label,
  own,
  today,
  onTake,
}: {
  stances: readonly StanceRow[];
  label: string;
  own: Stance;
  today: string;
  onTake: (stance: StanceRow) => void;
}) {
  const last = stances.find((s) => s.label === label);
  if (!last || standAlike(last, own)) return null;
  return (
    <div className="flex flex-wrap items-center gap-3 bg-[var(--slip)] px-4 py-3" role="status">
      <span className="min-w-56 flex-1">
        <strong>
          Decided {BENCH[last.bench]}, {shortDate(last.on, today)}:
        </strong>{' '}
        {stanceWords(last)}. Drawn here: {stanceWords(own)}.
      </span>
      <button type="button" className="btn btn-outline" onClick={() => onTake(last)}>
        Stand it so
      </button>
    </div>
  );
}

/** How it leans, and where in its pot it stands: decided by hand, or left undecided. */
export function StanceFields({
  stance,
  leans = true,
  onChange,
}: {
  stance: Stance & { decided: boolean };
  /** false: how it leans is not typed here */
  leans?: boolean;
  onChange: (lean: Lean | null, place: { aside: number; behind: number }) => void;
}) {
  const { tilt, towards, aside, behind, decided } = stance;
  const set = (more: Partial<Stance>) => {
    const to = { tilt, towards, aside, behind, ...more };
    onChange({ tilt: to.tilt, towards: to.towards }, { aside: to.aside, behind: to.behind });
  };
  const near = (n: number | undefined): n is number => n !== undefined && Math.abs(n) <= 1000;
  const within = (n: number, least: number, most: number) => n >= least && n <= most;
  return (
    <div className="grid gap-2" role="group" aria-label="How it stands">
      <div className="grid grid-cols-2 gap-3">
        {leans && (
          <>
            <Field label="Leans by" hint="° from upright">
              <NumberInput value={tilt} onChange={(n) => within(n, 0, LEAN_MOST) && set({ tilt: n })} />
            </Field>
            <Field label="Leans to" hint="° from the mark">
              <NumberInput value={towards} onChange={(n) => within(n, 0, 360) && set({ towards: n })} />
            </Field>
          </>
        )}
        <Field label="To the right" hint={`${unit('length')} from the middle`}>
          <MeasureInput quantity="length" value={aside} onChange={(n) => near(n) && set({ aside: n })} />
        </Field>
        <Field label="To the back" hint={`${unit('length')} from the middle`}>
          <MeasureInput quantity="length" value={behind} onChange={(n) => near(n) && set({ behind: n })} />
        </Field>
      </div>
      {decided ? (
        <p className="flex flex-wrap items-center gap-2">
          <span>
            It stands so: <strong>{stanceWords(stance)}</strong>. Root cuts and pots go by it.
          </span>
          <button
            type="button"
            className="btn btn-ghost btn-sm min-h-11"
            onClick={() => onChange(null, { aside, behind })}
          >
            Not decided yet
          </button>
        </p>
      ) : (
        <p className="flex flex-wrap items-center gap-2">
          <span className="soft">Not decided: root cuts favour no side.</span>
          <button type="button" className="btn btn-outline btn-sm min-h-11" onClick={() => set({})}>
            It stands as it is drawn
          </button>
        </p>
      )}
    </div>
  );
}
