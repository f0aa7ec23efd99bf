import { expect } from 'chai';
import type { CohortRow } from '@gonimos/contract/cohorts';
import type { CohortCourse, CourseStep, PlanChange } from '@gonimos/contract/course';
import type { FittingLine } from '@gonimos/contract/fittings';
import { workOn, type NewRecord } from '@gonimos/contract/records';
import type { MissedStep, Round, RoundStep } from '@gonimos/contract/round';
import { addDays, daysBetween } from '@gonimos/core/calendar';
import { operation } from '@gonimos/core/operations';
import { random, type Random } from '@gonimos/core/random';
import { id, must, type Bench, type Visitor } from './harness.ts';

/** Steps that moved by more than this without a word are forgotten, days. */
const FAR = 60;
/** What lies far ahead drifts by a day at a time without being told: so far a step may stand from what was, days. */
const DRIFT = 7;

/**
 * A grower who skips weeks, does half a batch, says "not yet" and finds what was not planned for: everything by the
 * interface's own requests, with seeded luck. After each week what must hold is looked at.
 */
export class Neglect {
  private readonly rng: Random;
  /** what the grower has been shown of each step, by cohort and key */
  private readonly shown = new Map<string, Map<string, CourseStep>>();
  /** steps of which something was said that ends them */
  private readonly ended = new Set<string>();
  /** what was done, for the log */
  readonly deeds: Record<string, number> = {};

  constructor(
    readonly b: Bench,
    readonly v: Visitor,
    seed: number,
  ) {
    this.rng = random(seed);
  }

  /** A place where pots stand. */
  private async bench(): Promise<string> {
    const places = await this.v.get<{ id: string; kind: string }[]>('/places');
    return places.find((p) => p.kind === 'outdoors')!.id;
  }

  private luck(share: number): boolean {
    return this.rng.next() < share;
  }

  private count(deed: string): void {
    this.deeds[deed] = (this.deeds[deed] ?? 0) + 1;
  }

  /** Sends what may be refused for a reason the grower would hear; anything else is a fault. */
  private async say(deed: string, path: string, body: object): Promise<boolean> {
    const r = await this.v.post(path, { id: id(), ...body });
    expect(r.statusCode, `${deed}: ${r.body}`).to.be.below(500);
    const taken = r.statusCode < 300;
    this.count(taken ? deed : `${deed} refused`);
    return taken;
  }

  private async work(s: RoundStep, today: string): Promise<void> {
    const op = operation(s.operation);
    const seed = s.live === 0 && s.pending > 0;
    const half = !seed && s.live > 3 && this.luck(0.25);
    const left = Math.max(0, s.live - s.part);
    const details: NewRecord['details'] = {};
    const losses: NewRecord['losses'] = [];
    if (op.asks.includes('container') && s.container) details.potting = { container: s.container };
    if (op.asks.includes('emergence')) {
      const up = this.luck(0.3) ? 0 : Math.floor(s.pending * this.rng.next());
      details.emergence = { emerged: up };
      // none came up: half the time the seed is written off at once
      if (up + s.live === 0 && this.luck(0.5))
        losses.push({ id: id(), kind: 'lost_before_emergence', count: s.pending, cause: 'rotten' });
    } else if (s.live > 2 && this.luck(0.2))
      losses.push({ id: id(), kind: 'lost', count: 1, cause: 'drought' });
    if (op.layer) details.layer = { found: this.luck(0.5) ? 'full' : 'filling', split: null };
    if (op.layer === 'severed') details.standing = { placeId: await this.bench() };
    if (op.asks.includes('alive')) details.survival = { sure: null, alive: s.live - losses.length };
    const taken = await this.say(half ? 'half a batch' : 'recorded', '/records', {
      ...workOn({ id: '', cohortId: s.cohortId, stepKey: s.key, on: today }),
      id: id(),
      done: half ? Math.ceil(left / 2) : null,
      finished: !half,
      losses,
      details,
    });
    if (taken && !half) this.ended.add(`${s.cohortId} ${s.key}`);
  }

  private async answerMissed(missed: readonly MissedStep[], today: string): Promise<void> {
    for (const m of missed) {
      if (this.luck(0.5)) continue;
      const steps = [{ cohortId: m.cohortId, stepKey: m.key }];
      const may = this.rng.next();
      if (may < 0.5) await this.work(m, today);
      else {
        const answer = may < 0.8 && m.next ? 'next time' : 'let go';
        if (await this.say(answer, '/missed', { answer, steps })) this.ended.add(`${m.cohortId} ${m.key}`);
      }
    }
  }

  /** A day of work: some of what is due, some put off, a surprise now and then. */
  private async dayOfWork(): Promise<void> {
    const { due, missed, warnings, sheltered, today } = await this.v.get<Round>('/round?most=1000');
    await this.answerMissed(missed, today);
    for (const s of due) {
      const may = this.rng.next();
      if (may < 0.45) await this.work(s, today);
      else if (may < 0.6)
        await this.say('not yet', '/put-offs', {
          cohortId: s.cohortId,
          stepKey: s.key,
          until: addDays(today, 7 * (1 + Math.floor(5 * this.rng.next()))),
          reason: 'no time',
        });
      else if (may < 0.65)
        await this.say('surprise', '/visits', {
          cohortId: s.cohortId,
          stepKey: null,
          on: today,
          found: ['few-roots'],
          decision: 'carry-on',
        });
    }
    for (const w of warnings)
      if (w.kind === 'frost' && w.carried && this.luck(0.5))
        await this.say('brought in', '/shelter/in', { cohortIds: w.cohortIds, until: addDays(today, 2) });
    for (const s of sheltered)
      if (this.luck(0.5)) await this.say('out again', '/shelter/out', { cohortIds: [s.cohortId] });
  }

  /** What must hold on any day. */
  private async look(): Promise<void> {
    const round = await this.v.get<Round>('/round?most=1000');
    const { today } = round;
    const cohorts = (await this.v.get<CohortRow[]>('/cohorts')).filter((c) => c.growing);
    const missed = new Set(round.missed.map((m) => `${m.cohortId} ${m.key}`));
    const fittings = await this.v.get<FittingLine[]>('/fittings');
    expect(
      fittings.filter((f) => !f.due).map((f) => `${f.code} ${f.what}`),
      `${today}: on the plants, no day`,
    ).to.deep.equal([]);
    for (const s of round.due) {
      const alive = s.live > 0 || operation(s.operation).asks.includes('emergence') || s.method === 'layer';
      const seedCare = operation(s.operation).cover !== undefined || operation(s.operation).risk === 'frost';
      expect(alive || seedCare, `${today}: ${s.code} ${s.title} is due, and nothing is alive`).to.equal(true);
    }
    // what became ready only now, after its days, stands on the round as late
    const listed = new Set([...missed, ...round.due.map((s) => `${s.cohortId} ${s.key}`)]);
    for (const c of cohorts) await this.lookAt(c, today, missed, listed);
    await this.warnings(round, cohorts);
  }

  private async warnings(round: Round, cohorts: readonly CohortRow[]): Promise<void> {
    const plants = new Map(cohorts.map((c) => [c.id, c.live > 0 ? c.live : c.pending]));
    for (const w of round.warnings.filter((x) => x.kind === 'frost')) {
      const there = w.cohortIds.reduce((n, cohort) => n + (plants.get(cohort) ?? 0), 0);
      expect(w.plants, `${round.today}: ${w.text}`).to.equal(there);
    }
  }

  /** Each step whose window has gone by is recorded, dropped or missed; none has moved far without a word. */
  private async lookAt(
    c: CohortRow,
    today: string,
    missed: ReadonlySet<string>,
    listed: ReadonlySet<string>,
  ): Promise<void> {
    const { steps } = await this.v.get<CohortCourse>(`/cohorts/${c.id}/course`);
    const before = this.shown.get(c.id);
    let changes: PlanChange[] | null = null;
    for (const s of steps) {
      const where = `${today}: ${c.code} ${s.key} ${s.title}`;
      const isMissed = missed.has(`${c.id} ${s.key}`);
      if (s.status === 'planned' && s.ready && s.closes! < today && !operation(s.operation).lapses)
        expect(listed.has(`${c.id} ${s.key}`), `${where} closed ${s.closes} and is not missed`).to.equal(
          true,
        );
      const was = before?.get(s.key);
      if (!was || !this.movedFar(was, s) || isMissed) continue;
      changes ??= await this.v.get<PlanChange[]>(`/cohorts/${c.id}/changes`);
      // aftercare is told with the step it follows
      const heads = s.key.split('.').map((_, i, parts) => parts.slice(0, i + 1).join('.'));
      const told = changes.some(
        (x) =>
          x.nowOpens !== null &&
          heads.includes(x.key) &&
          (x.key !== s.key || Math.abs(daysBetween(x.nowOpens, s.opens!)) <= DRIFT),
      );
      expect(told, `${where} moved from ${was.opens} to ${s.opens} without a word`).to.equal(true);
    }
    await this.gone(c, steps, today, missed);
    this.shown.set(c.id, new Map(steps.map((s) => [s.key, s])));
  }

  /** A step that was open and is no part of the course any more was answered, is missed, or was told as it fell. */
  private async gone(
    c: CohortRow,
    steps: readonly CourseStep[],
    today: string,
    missed: ReadonlySet<string>,
  ): Promise<void> {
    const has = new Map(steps.map((s) => [s.key, s]));
    for (const [key, was] of this.shown.get(c.id) ?? []) {
      if (was.status !== 'planned' || !was.ready || was.closes! >= today) continue;
      // what the season asks for is no part of the next season's course once it was answered
      if (operation(was.operation).lapses || this.ended.has(`${c.id} ${key}`)) continue;
      const now = has.get(key);
      // aftercare of a part is done when all of the part was cared for
      const cared = now?.about != null && now.part >= now.about;
      const answered = now && (now.status !== 'planned' || cared);
      const moved = now?.status === 'planned' && now.closes! >= today;
      if (answered || moved || missed.has(`${c.id} ${key}`)) continue;
      // for what was put off until there was no time for it, that was told
      const changes = await this.v.get<PlanChange[]>(`/cohorts/${c.id}/changes`);
      expect(
        changes.some((x) => x.key === key && x.nowOpens === null && x.because !== null),
        `${today}: ${c.code} ${key} was open until ${was.closes} and is forgotten`,
      ).to.equal(true);
    }
  }

  private movedFar(was: CourseStep, now: CourseStep): boolean {
    if (was.status !== 'planned' || now.status !== 'planned') return false;
    return was.opens !== null && now.opens !== null && Math.abs(daysBetween(was.opens, now.opens)) > FAR;
  }

  /** So many weeks: some are worked, some skipped, now and then a month. */
  async live(weeks: number): Promise<void> {
    for (let w = 0; w < weeks; w++) {
      await must(this.v.post('/demo/calendar', { id: id(), days: 7 }));
      await this.look();
      if (this.luck(0.55)) await this.dayOfWork();
    }
    await this.look();
  }
}
