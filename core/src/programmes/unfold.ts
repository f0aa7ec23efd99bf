import { operation, type Aftercare } from '../operations/index.ts';
import { chosen, type Levels } from '../schools/index.ts';
import type { GrowthGroup } from '../taxa/index.ts';
import type { After, Cycle, Programme, ProgrammeStep } from './index.ts';

/** A step of a course before it has dates: of the programme, of a further turn of a cycle, or of aftercare. */
export interface CourseStepPlan extends ProgrammeStep {
  /** the step this one is aftercare of */
  chain: string | null;
}

/** Leaves out steps of schools not followed; what waited for them waits for what they waited for. */
function bySchool(steps: ProgrammeStep[], levels: Levels): ProgrammeStep[] {
  const gone = new Map<string, After[]>();
  for (const s of steps)
    if (s.only && !s.only.options.includes(chosen(s.only.question, levels).option)) gone.set(s.key, s.after);
  if (gone.size === 0) return steps;
  const through = (a: After): After[] =>
    gone.has(a.step)
      ? gone
          .get(a.step)!
          .flatMap((b) => through({ ...b, seasons: Math.max(a.seasons ?? 0, b.seasons ?? 0) || undefined }))
      : [a];
  return steps.filter((s) => !gone.has(s.key)).map((s) => ({ ...s, after: s.after.flatMap(through) }));
}

/** Key of a step in the n-th turn of its cycle; the first keeps its own. */
const turnKey = (key: string, turn: number) => (turn === 1 ? key : `${key}~${turn}`);

function withTurns(steps: ProgrammeStep[], cycle: Cycle): ProgrammeStep[] {
  const inside = steps.filter((s) => cycle.steps.includes(s.key));
  if (inside.length === 0 || cycle.times < 2) return steps;
  const keys = new Set(inside.map((s) => s.key));
  const last = inside[inside.length - 1];
  const turns: ProgrammeStep[] = [];
  for (let turn = 2; turn <= cycle.times; turn++)
    for (const s of inside) {
      const own = s.after.filter((a) => keys.has(a.step)).map((a) => ({ ...a, step: turnKey(a.step, turn) }));
      const back: After = { step: turnKey(last.key, turn - 1), seasons: cycle.every };
      turns.push({
        ...s,
        key: turnKey(s.key, turn),
        title: s.title ? `${s.title} (turn ${turn})` : `${operation(s.operation).name} (turn ${turn})`,
        after: own.length > 0 ? own : [back],
      });
    }
  const final = (a: After): After => (keys.has(a.step) ? { ...a, step: turnKey(a.step, cycle.times) } : a);
  const at = steps.indexOf(last);
  return [
    ...steps.slice(0, at + 1),
    ...turns,
    ...steps.slice(at + 1).map((s) => (keys.has(s.key) ? s : { ...s, after: s.after.map(final) })),
  ];
}

const fits = (c: Aftercare, group: GrowthGroup) => !c.groups || c.groups.includes(group);

/** Aftercare of a step, and the aftercare of that, unless the programme has its own. */
function careOf(
  step: CourseStepPlan,
  group: GrowthGroup,
  written: (parent: string, op: string) => boolean,
): CourseStepPlan[] {
  return operation(step.operation)
    .aftercare.filter((c) => fits(c, group) && !written(step.key, c.operation))
    .flatMap((c) => {
      const care: CourseStepPlan = {
        key: `${step.key}.${c.operation}`,
        operation: c.operation,
        after: [{ step: step.key }],
        chain: step.chain ?? step.key,
        ...(c.window ? { window: c.window } : {}),
      };
      return [care, ...careOf(care, group, written)];
    });
}

/** The steps of a cohort's course in order: schools applied, cycles turned, aftercare added. */
export function unfold(programme: Programme, levels: Levels, group: GrowthGroup): CourseStepPlan[] {
  let steps = bySchool(programme.steps, levels);
  for (const cycle of programme.cycles ?? []) steps = withTurns(steps, cycle);
  const written = (parent: string, op: string) =>
    steps.some((s) => s.operation === op && s.after.some((a) => a.step === parent));
  return steps.flatMap((s) => {
    const own: CourseStepPlan = { ...s, chain: null };
    return [own, ...careOf(own, group, written)];
  });
}
