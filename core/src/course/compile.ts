import { toDay, toIso, type Day, type IsoDate } from '../calendar/index.ts';
import type { Wall } from '../containers/index.ts';
import { MAJOR, operation, workOf } from '../operations/index.ts';
import type { Plant } from '../plant/index.ts';
import { unfold, type CourseStepPlan } from '../programmes/index.ts';
import type { SeasonBook } from '../season/book.ts';
import { dryAir } from '../season/climate.ts';
import { contextOf, minutesFor, plantOf } from './context.ts';
import { lapses } from './lapse.ts';
import { materialsOf } from './materials.ts';
import { survivalOdds } from './odds.ts';
import { objection, place, type Placement } from './place.ts';
import { endWhenCaredFor, leftOf, partedFrom, withPart } from './parts.ts';
import { reasonsOf } from './reasons.ts';
import { oldWoodReason, topAbove } from './rules/old-wood.ts';
import type { LastWork } from './rules/rule.ts';
import { lossOf, mostTop, rootCut, rootCutReason, type Loss } from './rules/reserve.ts';
import { fullOn, spanOf } from './span.ts';
import { yearlySteps } from './yearly.ts';
import type { Context, Course, CourseFacts, PlannedStep, Reason, StepInHand } from './types.ts';

/** Whether a step leaves its mark on the plant: takes something, moves it, or asks for rest after it. */
const marks = (hand: StepInHand, into: string | null): boolean =>
  hand.rootLoss + hand.topLoss > 0 || into !== null || hand.op.recovery.value > 0;

/** Lays a course out step by step: what is done first, then the plan on top of it. */
class Planner {
  readonly ctx: Context;
  readonly hands: StepInHand[];
  readonly planned = new Map<string, PlannedStep>();
  /** steps that are no part of this course after all */
  private readonly leftOut = new Map<string, Reason | null>();
  plant: Plant;
  /** what holds the roots today */
  private readonly wall: Wall;
  /** as it stood after what was last done */
  private readonly stood: Plant;
  /** as it stands today */
  readonly now: Plant;
  readonly last = new Map<string, LastWork>();
  /** most of the top that may go at once */
  private readonly most: number;

  constructor(facts: CourseFacts, book: SeasonBook, today: IsoDate) {
    this.ctx = contextOf(facts, book, today);
    this.most = mostTop(this.ctx.tolerance);
    const { levels, taxon } = this.ctx;
    this.hands = unfold(facts.programme, { levels, taxon, dryAir: dryAir(book.climate) }).map((s) =>
      this.inHand(s),
    );
    this.plant = plantOf(this.ctx);
    this.layDone();
    this.wall = this.plant.wall;
    this.stood = this.plant.clone();
    this.now = this.plant.clone().advance(this.ctx.today);
  }

  private inHand(step: CourseStepPlan): StepInHand {
    const op = operation(step.operation);
    const fact = this.ctx.facts.steps[step.key] ?? { status: 'planned' };
    const share = fact.lighten?.share ?? 1;
    const topWanted = (step.topLoss ?? op.topLoss.value) * share;
    return {
      step,
      op,
      fact,
      topWanted,
      rootLoss: fact.took ?? (step.rootLoss ?? op.rootLoss.value) * share,
      topLoss: fact.tookTop ?? Math.min(topAbove(op, this.ctx.taxon, this.ctx.facts, topWanted), this.most),
    };
  }

  /** Whether a step waits no longer for one before it. */
  private isDone(key: string, optional?: boolean): boolean {
    const d = this.ctx.dates.get(key);
    return !d || d.done || (optional === true && d.day === null);
  }

  /** Whether there is anything to do a step on: of seed that did not come up, only looks for it and its covers. */
  private hasPlants({ op }: StepInHand): boolean {
    return !this.ctx.facts.nothingUp || op.asks.includes('emergence') || op.cover !== undefined;
  }

  private base(hand: StepInHand): PlannedStep {
    const { step, op } = hand;
    return {
      key: step.key,
      operation: op.id,
      title: step.title ?? op.name,
      lane: op.lane,
      status: 'planned',
      chain: step.chain,
      opens: null,
      closes: null,
      opensEarly: null,
      opensLate: null,
      target: null,
      wantsOn: null,
      doneOn: null,
      container: step.container ?? null,
      rootCut: null,
      topCut: null,
      odds: null,
      ready:
        this.hasPlants(hand) &&
        (partedFrom(this.ctx, hand) === null || leftOf(this.ctx, hand) > 0) &&
        step.after.every((a) => this.isDone(a.step, a.optional)),
      waits: [],
      minutes: minutesFor(this.ctx, op, leftOf(this.ctx, hand)),
      offers: null,
      refusal: null,
      span: null,
      materials: [],
      missed: hand.fact.status === 'planned' ? (hand.fact.missed ?? null) : null,
      moved: null,
      reasons: [],
    };
  }

  private settle(hand: StepInHand, day: Day, done: boolean, loss: Loss | null, into: string | null): void {
    const title = hand.step.title ?? hand.op.name;
    this.ctx.dates.set(hand.step.key, { day, title, work: workOf(hand.op.id), done });
    if (!marks(hand, into)) return;
    if (this.plant.day < day) this.plant.advance(day);
    const { root, top } = loss ?? lossOf(this.ctx, hand, this.plant);
    this.plant.suffer(root, top, title, into);
    if (hand.rootLoss + hand.topLoss > 0)
      this.last.set(hand.op.lane, { day, title, seasons: hand.op.recovery.value });
  }

  private layDone(): void {
    const done = this.hands
      .filter((h) => h.fact.status === 'done')
      .sort((a, b) => (a.fact.doneOn! < b.fact.doneOn! ? -1 : 1));
    for (const hand of done) {
      const into = hand.fact.container ?? hand.step.container ?? null;
      const row = this.base(hand);
      this.settle(hand, toDay(hand.fact.doneOn!), true, null, into);
      row.status = 'done';
      row.ready = true;
      row.doneOn = hand.fact.doneOn!;
      row.container = into;
      this.planned.set(row.key, row);
    }
  }

  private drop(hand: StepInHand): void {
    const { ctx } = this;
    const before = hand.step.after.map((a) => ctx.dates.get(a.step)?.day ?? toDay(ctx.facts.startedOn));
    const row = this.base(hand);
    const day = Math.max(toDay(ctx.facts.startedOn), ...before);
    ctx.dates.set(row.key, { day, title: row.title, work: workOf(row.operation), done: true });
    row.status = 'dropped';
    this.planned.set(row.key, row);
  }

  private isOpen(key: string): boolean {
    return this.planned.get(key)?.status === 'planned';
  }

  /** What the levelled year has to keep between steps that are both still to be done. */
  private waitsOf({ demands, window }: Placement): PlannedStep['waits'] {
    const days = new Map<string, number>();
    for (const d of demands)
      if (d.since && d.notBefore !== 'never' && this.isOpen(d.since.key))
        days.set(d.since.key, d.notBefore - d.since.day);
    const anchor = window?.sinceAnchor;
    if (anchor && this.isOpen(anchor.key))
      days.set(anchor.key, Math.max(anchor.days, days.get(anchor.key) ?? 0));
    return [...days].map(([key, n]) => ({ key, days: n }));
  }

  /** Whether a step is no part of the course: an opening for which a layer has no time, and what would follow it. */
  private leavesOut(hand: StepInHand, found: Placement): boolean {
    const { step } = hand;
    const out =
      (this.ctx.byDate && found.code === 'layer-cut-off') ||
      (step.chain !== null && this.leftOut.has(step.chain));
    if (out) this.leftOut.set(step.key, reasonsOf(found, hand).find((r) => r.binding) ?? null);
    return out;
  }

  /**
   * When a step would be done if what it wants were there. It stands in line for that day as long as it is short:
   * put off for want of containers it would want none, would be put back, and would want them again.
   */
  private wantsOn(hand: StepInHand): IsoDate | null {
    if (!hand.fact.short) return null;
    const supplied = { ...hand, fact: { ...hand.fact, short: undefined } };
    const { target } = place(this.ctx, supplied, this.plant, this.last);
    return target === null ? null : toIso(target);
  }

  private plan(hand: StepInHand): void {
    const { ctx } = this;
    const row = this.base(hand);
    const found = place(ctx, hand, this.plant, this.last);
    if (this.leavesOut(hand, found)) return;
    const by = hand.fact.moved?.overrides ? hand.fact.moved : null;
    if (by && toDay(by.to) >= ctx.today) return this.setByHand(hand, row, found, toDay(by.to));
    row.reasons = reasonsOf(found, hand);
    row.wantsOn = this.wantsOn(hand);
    this.planned.set(row.key, row);
    const { window, target } = found;
    if (target === null || !window) {
      row.status = 'none';
      row.offers = found.offers;
      row.refusal = found.code ?? 'rules-disagree';
      const why = row.reasons
        .find((r) => r.binding)
        ?.text.replace(/^Waits for ‘.*?’, which has no date: /, '');
      ctx.dates.set(row.key, {
        day: null,
        title: row.title,
        work: workOf(row.operation),
        done: false,
        ...(why ? { why } : {}),
      });
      return;
    }
    if (lapses(this, hand, found)) {
      row.status = 'lapsed';
      row.closes = toIso(window.closes);
      ctx.dates.set(row.key, {
        day: window.closes,
        title: row.title,
        work: workOf(row.operation),
        done: true,
      });
      return;
    }
    const { plant } = found;
    row.opens = toIso(window.opens);
    row.closes = toIso(window.closes);
    row.opensEarly = toIso(window.early);
    row.opensLate = toIso(window.late);
    row.target = toIso(target);
    row.waits = this.waitsOf(found);
    row.moved = found.chosen === 'hand' ? hand.fact.moved! : null;
    row.span = spanOf(ctx, hand, found);
    row.materials = materialsOf(ctx, hand, row.container);
    const loss = plant ? lossOf(ctx, hand, plant) : null;
    if (plant) {
      row.rootCut = rootCut(ctx, hand, plant);
      if (row.rootCut) row.reasons.push(rootCutReason(ctx, hand, plant, row.rootCut));
      if (marks(hand, row.container) && this.plant.day < target) this.plant = plant.clone();
    }
    this.cutAbove(hand, row, loss);
    this.settle(hand, target, false, loss, row.container);
    if (hand.rootLoss > MAJOR || hand.topLoss > MAJOR) row.odds = survivalOdds(ctx, this.plant);
  }

  /** What goes of the top, where that is less than is usual. */
  private cutAbove(hand: StepInHand, row: PlannedStep, loss: Loss | null): void {
    const why = oldWoodReason(this.ctx, hand);
    if (why) row.reasons.push(why);
    const take = loss?.top ?? hand.topLoss;
    if (take < hand.topWanted - 0.005)
      row.topCut = { wanted: Math.round(hand.topWanted * 100) / 100, take: Math.round(take * 100) / 100 };
  }

  /** The grower's own day against a rule: kept, with the reason, and shown. */
  private setByHand(hand: StepInHand, row: PlannedStep, found: Placement, day: Day): void {
    const said = hand.fact.moved!;
    const then = this.plant.clone().advance(day);
    // said against the reserve, the whole of it is done
    const forced = said.overrides === 'reserve' || said.overrides === 'vigour';
    const cut = rootCut(this.ctx, hand, then, forced);
    if (this.plant.day < day) this.plant = then.clone();
    this.settle(hand, day, false, lossOf(this.ctx, hand, then, forced), row.container);
    const opens = found.window?.opens ?? day;
    const closes = found.window?.closes ?? day;
    this.planned.set(row.key, {
      ...row,
      opens: toIso(Math.min(opens, day)),
      closes: toIso(Math.max(day, Math.min(closes, day + 30))),
      opensEarly: toIso(day),
      opensLate: toIso(day),
      target: toIso(day),
      rootCut: cut,
      moved: said,
      odds: hand.rootLoss > MAJOR || hand.topLoss > MAJOR ? survivalOdds(this.ctx, this.plant) : null,
      materials: materialsOf(this.ctx, hand, row.container),
      reasons: [
        {
          rule: 'set by hand',
          text: `Set by hand to {${said.to}} against the rule ‘${said.overrides}’${said.reason ? `: ${said.reason}` : ''}`,
          figures: [{ label: 'day set', value: said.to, unit: '', basis: 'your data' }],
          binding: true,
        },
        ...reasonsOf(found, hand).map((r) => ({ ...r, binding: false })),
      ],
    });
  }

  /** Plans the steps in order, up to one of them when named. */
  run(until?: string): this {
    for (const hand of this.hands) {
      if (hand.step.key === until) break;
      if (hand.fact.status === 'dropped') this.drop(hand);
      else if (hand.fact.status !== 'done') {
        withPart(this.ctx, hand, () => this.plan(hand));
        endWhenCaredFor(this.ctx, hand);
      }
    }
    return this;
  }

  /**
   * When roots fill, or have filled, the container of today, unless a planned step moves the plants on before.
   * Counted from what was last done, so that the day stays the same from one day to the next.
   */
  private rootBound(steps: readonly PlannedStep[]): IsoDate | null {
    const moves = steps.find((s) => s.status === 'planned' && s.container !== null && s.target !== null);
    const on = fullOn(this.ctx, this.stood);
    if (on === null || (moves && toDay(moves.target!) <= on)) return null;
    return toIso(on);
  }

  course(): Course {
    const { ctx, plant } = this;
    const end = [...ctx.dates.values()].reduce((m, d) => Math.max(m, d.day ?? 0), 0);
    const steps = this.hands.flatMap((h) => this.planned.get(h.step.key) ?? []);
    plant.advance(Math.max(end, ctx.today, plant.day) + 366);
    return {
      steps: [...steps, ...yearlySteps(ctx, this.wall, steps)],
      rings: plant.rings,
      endsOn: end > 0 ? toIso(end) : null,
      wall: this.wall,
      rootBoundOn: this.rootBound(steps),
      leftOut: [...this.leftOut].map(([key, because]) => ({ key, because })),
    };
  }
}

/**
 * Compiles a cohort's course: every step of its programme with the window that holds, the day the plan
 * counts on, and the rules that put it there. Steps done keep their day; everything else is planned
 * from the season book of the cohort's place as seen on `today`. Pure and deterministic.
 */
export const compileCourse = (facts: CourseFacts, book: SeasonBook, today: IsoDate): Course =>
  new Planner(facts, book, today).run().course();

/**
 * Whether a step may be set to a day: null when every rule agrees, else the rule that refuses and why.
 * Throws RangeError for a step that is not open in this course.
 */
export function mayMove(facts: CourseFacts, book: SeasonBook, today: IsoDate, key: string, to: IsoDate) {
  const planner = new Planner(facts, book, today).run(key);
  const hand = planner.hands.find((h) => h.step.key === key);
  if (!hand || hand.fact.status === 'done') throw new RangeError(`not an open step: ${key}`);
  return objection(planner.ctx, hand, planner.plant, planner.last, toDay(to));
}

/** The cohort's typical plant as it stands on a day, after everything that was done. */
export const plantOn = (facts: CourseFacts, book: SeasonBook, today: IsoDate): Plant =>
  new Planner(facts, book, today).now;
