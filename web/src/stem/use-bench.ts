import { useDeferredValue, useMemo, useReducer, type Dispatch } from 'react';
import type { Cohort } from '@gonimos/contract/cohorts';
import { NOTHING_DECIDED } from '@gonimos/contract/stem-decided';
import type { StemBench, StemRecordRow } from '@gonimos/contract/stem-records';
import { UPRIGHT } from '@gonimos/core/stance';
import { chopPlan, sacrificesOf, stemFaults } from '@gonimos/core/stem';
import { taxon } from '@gonimos/core/taxa';
import { useDrawn, useFirst } from '../drawings/use-drawn';
import type { RootsDrawn } from './front-view';
import { draw, drawingOf, emptyStem, type Act, type Sheet } from './sheet';
import { stanceOf } from './stance';
import { useBands, useWires } from './use-wires';

/** The roots of a plant as they were last drawn, and how it leant then. */
function rootsOf(bench: StemBench, label: string): RootsDrawn | null {
  const drawn = bench.roots.find((r) => r.label === label);
  return drawn ? { record: drawn.record, lean: drawn.lean ?? UPRIGHT } : null;
}

/** Where it may be cut, and the years of its sacrifices; nothing while the figures cannot be of a stem. */
function usePlans(cohort: Cohort, bench: StemBench, label: string, { record, decided }: Sheet) {
  const asked = useDeferredValue(JSON.stringify({ record, decided }));
  return useMemo(() => {
    const now = JSON.parse(asked) as Sheet;
    const faults = stemFaults(now.record);
    if (faults.length > 0) return { faults, plan: null, looks: [] };
    const kind = taxon(cohort.taxonId);
    const start = { ...bench.start, caliper: now.record.base, height: now.record.height };
    const plan =
      now.decided.finished === null
        ? null
        : chopPlan({
            record: now.record,
            kind,
            finished: now.decided.finished,
            style: now.decided.style ?? 'usual',
            way: now.decided.way ?? bench.way,
            wounds: bench.wounds,
            start,
            breaks: bench.sprouts.mean,
          });
    const roots = rootsOf(bench, label)?.record.roots ?? [];
    return { faults, plan, looks: sacrificesOf(now.record, start, kind, roots) };
  }, [asked, cohort.taxonId, bench, label]);
}

/**
 * All that is worked out of a drawing. The same for as long as nothing is drawn or decided, also while one part after
 * another is taken in hand: what is shown of it is then left as it stands.
 */
function useWork(cohort: Cohort, bench: StemBench, label: string, sheet: Sheet, act: Dispatch<Act>) {
  const { record, decided } = sheet;
  const plans = usePlans(cohort, bench, label, sheet);
  const stance = useMemo(() => stanceOf(record.front, decided), [record.front, decided]);
  const roots = useMemo(() => rootsOf(bench, label), [bench, label]);
  const wired = useWires(cohort.id, record, decided.wires);
  const bands = useBands(cohort.id, record, decided.bands);
  return useMemo(
    () => ({ record, decided, ...plans, stance, roots, wired, bands, act }),
    [record, decided, plans, stance, roots, wired, bands, act],
  );
}

/** What lies on the bench, and all that is worked out of it. */
export function useBench(cohort: Cohort, bench: StemBench) {
  const key = `stem ${cohort.id}`;
  const { caliper, height } = bench.start;
  const first = useFirst(key, bench.records, (): Sheet => ({
    record: emptyStem(caliper, height ?? caliper * 40),
    decided: NOTHING_DECIDED,
  }));
  const [drawing, act] = useReducer(draw, first.sheet, drawingOf);
  const { record, decided } = drawing;
  const begun = record.parts.length > 0 || decided.finished !== null;
  const at = useDrawn(key, bench.records, first, drawing, begun);
  const { label, row } = at;
  return {
    at,
    drawing,
    act,
    work: useWork(cohort, bench, label, drawing, act),
    chosen: record.parts.find((p) => p.id === drawing.chosen),
    /** the drawing of the same plant before the one in hand */
    before: row && bench.records.findLast((r) => r.label === row.label && r.on < row.on),
    open: (r: StemRecordRow) => {
      at.take(r);
      act({ do: 'open', sheet: { record: r.record, decided: r.decided } });
    },
    begin: () => {
      at.renew();
      act({ do: 'open', sheet: { record, decided } });
    },
  };
}

/** The stem bench of a cohort, as its parts take it. */
export interface OnBench {
  cohort: Cohort;
  bench: StemBench;
  today: string;
  b: ReturnType<typeof useBench>;
}

/** The same, as those parts take it that ask for nothing else: not what is in hand, nor what is kept. */
export interface OnWork extends Omit<OnBench, 'b'> {
  work: ReturnType<typeof useWork>;
}
