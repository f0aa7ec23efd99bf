import type { Goal, NewGoal } from '@gonimos/contract/starts';
import type { StartOffer } from '@gonimos/contract/outcome';
import { addDays } from '@gonimos/core/calendar';
import { groupBy } from '@gonimos/core/group';
import type { Programme } from '@gonimos/core/programmes';
import {
  goalState,
  stagesOf,
  stageWords,
  startUnit,
  throughAll,
  type StageEstimate,
  type UnderWay,
} from '@gonimos/core/starts';
import { readFacts, type CohortFacts } from '../facts/facts.ts';
import type { Sql } from '../db/index.ts';
import { conflict, notFound } from '../http/problem.ts';
import { readProgramme } from '../library/store.ts';
import { estimates, readStartGround, timesOf } from './answer.ts';
import { readLived } from './history.ts';

const COLUMNS = {
  id: 'id',
  taxonId: 'taxonId',
  programmeId: 'programmeId',
  placeId: 'placeId',
  stage: 'stage',
  wanted: 'wanted',
  byYear: 'byYear',
  confidence: 'confidence',
  most: 'most',
  cost: 'cost',
  note: 'note',
  closedOn: 'closedOn',
  version: 'version',
};
type GoalRow = Omit<Goal, 'programmeName' | 'stageWords' | 'state' | 'unit' | 'underWay' | 'next'>;

export const insertGoal = (sql: Sql, g: NewGoal, personId: string | null): Promise<unknown> =>
  sql('start_goal').insert({
    id: g.id,
    taxonId: g.taxonId,
    programmeId: g.programmeId,
    placeId: g.placeId,
    stage: g.stage,
    wanted: g.wanted,
    byYear: g.byYear,
    confidence: g.confidence,
    most: g.most,
    note: g.note,
    cost: JSON.stringify(g.cost),
    personId: personId,
  });

export async function closeGoal(sql: Sql, id: string, version: number, today: string): Promise<void> {
  const closed = await sql('start_goal')
    .where({ id, version })
    .update({ closedOn: today, version: version + 1 });
  if (closed > 0) return;
  const now = await sql('start_goal').where({ id }).first(COLUMNS);
  if (!now) throw notFound('goal');
  throw conflict('The goal was changed meanwhile.', now);
}

/** Where a batch stands on the way to the goal's stage. */
interface Standing {
  id: string;
  code: string;
  count: number;
  /** stages of the goal behind it */
  passed: number;
}

function standingOf(f: CohortFacts, counts: { live: number; pending: number }): Standing[] {
  const stages = stagesOf(f.programme);
  let passed = 0;
  while (passed < stages.length && (f.steps[stages[passed].step.key]?.status ?? 'planned') !== 'planned')
    passed++;
  const at = { id: f.id, code: f.code };
  // what still lies in the soil has its first stage to come, however many have shown
  return [
    ...(counts.pending > 0 ? [{ ...at, count: counts.pending, passed: 0 }] : []),
    ...(counts.live > 0
      ? [{ ...at, count: counts.live, passed: Math.max(passed, counts.pending > 0 ? 1 : 0) }]
      : []),
  ];
}

function stateOf(g: GoalRow, p: Programme, stages: StageEstimate[], standing: Standing[]) {
  const underWay = standing.map((s): UnderWay => ({
    count: s.count,
    share: throughAll(stages.slice(s.passed)),
  }));
  return {
    state: goalState(g.wanted, g.confidence, underWay, throughAll(stages), g.most),
    underWay: standing.map((s) => ({
      id: s.id,
      code: s.code,
      count: s.count,
      stage:
        s.passed === 0
          ? 'started'
          : stageWords(stages[Math.min(s.passed, stages.length) - 1].stage, p.method),
    })),
  };
}

/** Every goal that is not closed, with what is under way, what is still to start and when. */
export async function readGoals(sql: Sql): Promise<Goal[]> {
  const rows: GoalRow[] = await sql('start_goal').whereNull('closedOn').orderBy('at').select(COLUMNS);
  if (rows.length === 0) return [];
  const ground = await readStartGround(sql);
  const linked: { id: string; goalId: string; live: number; pending: number }[] = await sql('cohort')
    .whereIn(
      'goalId',
      rows.map((g) => g.id),
    )
    .where('growing', true)
    .select('id', 'goalId', 'live', 'pending');
  const facts = new Map(
    (
      await readFacts(
        sql,
        linked.map((c) => c.id),
      )
    ).map((f) => [f.id, f]),
  );
  const byGoal = groupBy(linked, (c) => c.goalId);
  const goals: Goal[] = [];
  for (const g of rows) {
    const { programme: p } = await readProgramme(sql, g.programmeId);
    const stages = estimates(p, g.taxonId, g.stage, await readLived(sql, g.taxonId));
    const standing = (byGoal.get(g.id) ?? []).flatMap((c) => standingOf(facts.get(c.id)!, c));
    const { state, underWay } = stateOf(g, p, stages, standing);
    goals.push({
      ...g,
      programmeName: p.name,
      stageWords: stageWords(g.stage, p.method),
      unit: startUnit(p),
      state,
      underWay,
      // nothing more is offered once the goal is met
      next: state.met ? null : (timesOf(p, g, ground).find((t) => t.inTime) ?? null),
    });
  }
  return goals;
}

/** Cutting goals that still want what a pruning of these plants has given. */
export async function offersFor(sql: Sql, parent: { id: string; taxonId: string }): Promise<StartOffer[]> {
  const open = await sql('start_goal').where({ taxonId: parent.taxonId }).whereNull('closedOn').first('id');
  if (!open) return [];
  const goals = await readGoals(sql);
  return goals
    .filter((g) => g.taxonId === parent.taxonId && g.unit === 'cuttings' && !g.state.met)
    .map((g) => ({
      goalId: g.id,
      taxonId: g.taxonId,
      programmeId: g.programmeId,
      programmeName: g.programmeName,
      count: g.state.more ?? g.most,
      parentId: parent.id,
    }));
}

/** Days ahead in which a start, or the treatment of its seed, is told on the round. */
const AHEAD = 30;

/** Starts that goals still want soon, seed treatment first. */
export async function readStartsDue(sql: Sql, today: string) {
  return (await readGoals(sql)).flatMap((g) => {
    if (!g.next) return [];
    const phases =
      g.next.phases.length > 0 ? g.next.phases : [{ what: 'start', from: g.next.opens, to: g.next.closes }];
    const now = phases.find((p) => p.to >= today);
    if (!now || now.from > addDays(today, AHEAD)) return [];
    return [
      {
        goalId: g.id,
        taxonId: g.taxonId,
        what: now.what,
        from: now.from,
        to: now.to,
        unit: g.unit,
        count: g.state.more ?? g.most,
      },
    ];
  });
}
