import { container, resized } from '../containers/index.ts';
import { operation, workOf, type Aftercare, type When } from '../operations/index.ts';
import { chosen, type Levels } from '../schools/index.ts';
import type { WindowSpec } from '../operations/index.ts';
import type { GrowthGroup, Taxon } from '../taxa/index.ts';
import type { After, Cycle, Programme, ProgrammeStep } from './index.ts';

/** A step of a course before it has dates: of the programme, of a further turn of a cycle, or of aftercare. */
export interface CourseStepPlan extends ProgrammeStep {
  /** the step this one is aftercare of */
  chain: string | null;
}

/** For whom a programme is unfolded, and where. */
export interface Unfolding {
  levels: Levels;
  taxon: Pick<Taxon, 'group'>;
  /** summers are dry to a leaf where it stands */
  dryAir?: boolean;
}

const meant = (s: ProgrammeStep, { levels }: Unfolding): boolean =>
  !s.only || s.only.options.includes(chosen(s.only.question, levels).option);

/** Leaves out steps of schools not followed; what waited for them waits for what they waited for. */
function bySchool(steps: readonly ProgrammeStep[], u: Unfolding): ProgrammeStep[] {
  const gone = new Map<string, After[]>();
  for (const s of steps) if (!meant(s, u)) gone.set(s.key, s.after);
  if (gone.size === 0) return [...steps];
  const through = (a: After): After[] =>
    gone.has(a.step)
      ? gone
          .get(a.step)!
          .flatMap((b) => through({ ...b, seasons: Math.max(a.seasons ?? 0, b.seasons ?? 0) || undefined }))
      : [a];
  const byKey = new Map(steps.map((s) => [s.key, s]));
  const comesAfter = (key: string, before: string): boolean =>
    byKey.get(key)!.after.some((a) => a.step === before || comesAfter(a.step, before));
  /** a wait taken over from a step that is gone falls away where another wait holds it already */
  const needed = (s: ProgrammeStep): After[] => {
    const own = s.after.filter((a) => !gone.has(a.step));
    if (own.length === s.after.length) return own;
    const taken = s.after.filter((a) => gone.has(a.step)).flatMap(through);
    const held = (a: After) => own.some((b) => b.step === a.step || comesAfter(b.step, a.step));
    const left = taken.filter((a, i) => !held(a) && taken.findIndex((b) => b.step === a.step) === i);
    return [...own, ...left];
  };
  return steps.filter((s) => !gone.has(s.key)).map((s) => ({ ...s, after: needed(s) }));
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

/** A smaller container where the school of pot size asks for one; the title names what it really is. */
function inSize(s: ProgrammeStep, levels: Levels): ProgrammeStep {
  if (!s.container) return s;
  const smaller = resized(s.container, chosen('pot-size', levels).option);
  if (smaller === s.container) return s;
  const title = s.title?.replace(/,? into (the )?[^,]*$/, '');
  return {
    ...s,
    container: smaller,
    title: `${title ?? operation(s.operation).name}, into ${container(smaller).name}`,
  };
}

const FLAT_MORE = 1.15;
const DOWN_LESS = 0.75;
/** Groups whose roots are led down a slope, or kept going down, unless a school says otherwise. */
export type RootAngle = 'flat' | 'sloped' | 'descending';
const USUAL_ANGLE: Partial<Record<GrowthGroup, RootAngle>> = {
  pine: 'sloped',
  'juniper-cypress': 'sloped',
  'oak-like': 'sloped',
  'tropical-broadleaf': 'descending',
};

/** Angle the roots are led at: as the school says, or as is usual for the kind. */
export function rootAngle(levels: Levels, group: GrowthGroup): RootAngle {
  const { option } = chosen('root-angle', levels);
  return option === 'by-kind' ? (USUAL_ANGLE[group] ?? 'flat') : (option as RootAngle);
}

/** Flat roots cost more of what goes down, descending ones less: shares of the usual cut. Common practice, no source. */
function angled(s: ProgrammeStep, { levels, taxon }: Unfolding): ProgrammeStep {
  if (workOf(s.operation) !== 'root-correct') return s;
  const usual = s.rootLoss ?? operation(s.operation).rootLoss.value;
  const was = USUAL_ANGLE[taxon.group] ?? 'flat';
  const now = rootAngle(levels, taxon.group);
  const weight: Record<RootAngle, number> = { flat: FLAT_MORE, sloped: 1, descending: DOWN_LESS };
  return was === now ? s : { ...s, rootLoss: Math.min(0.9, (usual * weight[now]) / weight[was]) };
}

/** Kinds that bear little root loss: their ball is kept and worked on one side at a time. */
const KEEP_THE_BALL: readonly GrowthGroup[] = ['sensitive-shrub'];
const STAGED = new Set(['root-correct', 'root-work', 'training-pot']);
const LIFTED = new Set(['collect', 'lift', 'lift-replant']);
/** Most of the root that goes when such a kind is lifted with its ball. Common practice, no source. */
const WITH_BALL = 0.15;

/** Work on roots as kinds bear it whose ball is kept, unless the school bares all roots. */
function keptBall(s: ProgrammeStep, { levels, taxon }: Unfolding): ProgrammeStep {
  if (!KEEP_THE_BALL.includes(taxon.group) || chosen('root-ball', levels).option === 'bare') return s;
  if (LIFTED.has(workOf(s.operation)))
    return { ...s, rootLoss: Math.min(WITH_BALL, s.rootLoss ?? operation(s.operation).rootLoss.value) };
  if (!STAGED.has(workOf(s.operation))) return s;
  const { rootLoss: _root, topLoss: _top, ...rest } = s;
  const where = s.container ? `, ${container(s.container).name}` : '';
  return { ...rest, operation: 'stage-roots', title: `Root work in stages: one side, ball kept${where}` };
}

const underSchool = (w: When, { levels, dryAir }: Unfolding): boolean => {
  const { option } = chosen(w.question, levels);
  return w.options.includes(option === 'by-air' ? (dryAir ? 'dry-air' : 'humid-air') : option);
};
const fits = (c: Aftercare, u: Unfolding) =>
  (!c.groups || c.groups.includes(u.taxon.group)) && (!c.when || underSchool(c.when, u));

/** Aftercare of a step, and the aftercare of that, unless the programme has its own. */
function careOf(
  step: CourseStepPlan,
  u: Unfolding,
  written: (parent: string, op: string) => boolean,
  ends?: WindowSpec,
): CourseStepPlan[] {
  return operation(step.operation)
    .aftercare.filter((c) => fits(c, u) && !written(step.key, c.operation))
    .flatMap((c) => {
      const window = ends ?? c.window;
      const care: CourseStepPlan = {
        key: `${step.key}.${c.operation}`,
        operation: c.operation,
        after: [{ step: step.key, ...(c.seasons ? { seasons: c.seasons } : {}) }],
        chain: step.chain ?? step.key,
        ...(window ? { window } : {}),
      };
      return [care, ...careOf(care, u, written, c.ends)];
    });
}

/** The steps of a cohort's course in order: schools applied, cycles turned, aftercare added. */
export function unfold(programme: Programme, u: Unfolding): CourseStepPlan[] {
  let steps = bySchool(programme.steps, u).map((s) => keptBall(angled(inSize(s, u.levels), u), u));
  for (const cycle of programme.cycles ?? []) steps = withTurns(steps, cycle);
  const ends = steps.some((s) => workOf(s.operation) === 'guard-off');
  const written = (parent: string, op: string) =>
    (op === 'guard-off' && ends) ||
    steps.some((s) => workOf(s.operation) === workOf(op) && s.after.some((a) => a.step === parent));
  return steps.flatMap((s) => {
    const own: CourseStepPlan = { ...s, chain: null };
    return [own, ...careOf(own, u, written)];
  });
}
