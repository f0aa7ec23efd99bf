import { useState, type KeyboardEvent } from 'react';
import type { Cohort } from '@gonimos/contract/cohorts';
import { applied, BETWEEN, measure, reachOf, regrown, type RootPlan, type Terms } from '@gonimos/core/roots';
import { placed, type Spot, type Trace } from '../drawings/trace';
import { TraceTools } from '../drawings/trace-tools';
import { brushOf, keyed } from './keys';
import { PlanView } from './plan-view';
import { SideView } from './side-view';
import { Tools } from './tools';

import type { Act, Brush, Drawing } from './drawing';

type View = 'now' | 'after' | 'later';
const VIEWS: readonly [View, string][] = [
  ['now', 'As found'],
  ['after', 'After the work'],
  ['later', 'In two seasons'],
];
const NONE: ReadonlyMap<string, number> = new Map();

interface Props {
  cohort: Cohort;
  drawing: Drawing;
  /** the plan for what is drawn; null while it is not known */
  plan: RootPlan | null;
  numbers: ReadonlyMap<string, number>;
  terms: Terms;
  /** how deep roots are uncovered, stage by stage, mm */
  levels: readonly number[];
  act: (a: Act) => void;
  today: string;
}

/** What is drawn on: brushes, the roots from above and from the front, as found and as they will be. */
export function Surface({ cohort, drawing, plan, numbers, terms, levels, act, today }: Props) {
  const { record } = drawing;
  const [brush, setBrush] = useState<Brush>({ thick: 1, fibre: 1 });
  const [trace, setTrace] = useState<Trace | null>(null);
  const [placing, setPlacing] = useState(false);
  const [view, setView] = useState<View>('now');
  // after the work there is nothing to draw
  const now = view === 'now' || plan === null;
  const after = now ? record : applied(record, plan.choices);
  const shown = view === 'later' && !now ? regrown(after, BETWEEN, terms.ring) : after;
  const onKey = (e: KeyboardEvent) => {
    const undo = (e.ctrlKey || e.metaKey) && (e.key === 'z' || e.key === 'y');
    if (e.ctrlKey || e.metaKey) {
      if (undo) act({ do: e.key === 'z' && !e.shiftKey ? 'undo' : 'redo' });
    } else {
      const taken = brushOf(e.key, brush);
      if (taken) setBrush(taken);
      const done = keyed(drawing, e.key, e.shiftKey, brush);
      if (done) act(done);
      if (!taken && !done) return;
      // the keys of the frame are not meant
      e.stopPropagation();
      e.preventDefault();
    }
    if (undo) e.preventDefault();
  };
  const place = (t: Trace) => (middle: Spot, edge: Spot) => {
    setTrace(placed(t, middle, edge, record.trunk / 2));
    setPlacing(false);
  };
  return (
    <>
      <Tools drawing={drawing} brush={brush} setBrush={setBrush} act={act} />
      <TraceTools
        cohortId={cohort.id}
        today={today}
        reach={reachOf(record)}
        taps="Tap the middle of the trunk in the picture, then its edge."
        trace={trace}
        placing={placing}
        set={setTrace}
        setPlacing={setPlacing}
      />
      <div className="mx-auto w-full max-w-[44rem] bg-base-100">
        <PlanView
          record={shown}
          chosen={now ? drawing.chosen : null}
          brush={brush}
          choices={now ? (plan?.choices ?? null) : null}
          numbers={now ? numbers : NONE}
          measures={measure(shown, terms.school)}
          room={terms.room}
          fixed={!now}
          trace={trace}
          onPlaced={placing && trace ? place(trace) : null}
          act={act}
          onKey={onKey}
        />
        <SideView record={shown} choices={now ? (plan?.choices ?? null) : null} levels={levels} />
      </div>
      {/* below the drawing: it must not move under the finger when the first root is there */}
      {record.roots.length === 0 && (
        <p className="soft">
          Draw each root outward from the trunk with a finger, as it lies; take the thickness first. A tap
          sets a straight one. With keys: <kbd className="kbd">+</kbd> adds, arrows turn and lengthen.
        </p>
      )}
      {plan && plan.cuts.length > 0 && (
        <div className="no-print flex flex-wrap gap-2" role="group" aria-label="Shown">
          {VIEWS.map(([id, name]) => (
            <button
              key={id}
              type="button"
              aria-pressed={view === id}
              className={`btn btn-sm ${view === id ? 'btn-neutral' : 'border border-base-300 bg-base-100'}`}
              onClick={() => setView(id)}
            >
              {name}
            </button>
          ))}
        </div>
      )}
      <Legend />
    </>
  );
}

const Legend = () => (
  <p className="soft flex flex-wrap gap-x-4 text-sm">
    <span>
      <span aria-hidden="true" className="mr-1 inline-block h-3 w-5 bg-[var(--bark)]" /> stays
    </span>
    <span>
      <span
        aria-hidden="true"
        className="mr-1 inline-block h-3 w-5 border border-accent bg-[repeating-linear-gradient(45deg,var(--due)_0_3px,var(--color-accent)_3px_4px)]"
      />{' '}
      goes
    </span>
    <span>
      <span aria-hidden="true" className="mr-1 inline-block h-3 w-5 border-2 border-dashed border-primary" />{' '}
      moves here
    </span>
    <span>
      <span aria-hidden="true" className="mr-1 inline-block h-3 w-1 bg-accent" /> cut
    </span>
    <span>
      <span
        aria-hidden="true"
        className="mr-1 inline-block h-0 w-5 border-t-2 border-dashed border-[var(--bark)] align-middle"
      />{' '}
      wall of the pot
    </span>
  </p>
);
