import { expose } from 'comlink';
import {
  comparePoses,
  tradeOff,
  judge,
  practiceCase,
  planCuts,
  type Case,
  type Judged,
  type Overrule,
  type PoseAnswer,
  type RootPlan,
  type RootRecord,
  type Terms,
  type Trade,
} from '@gonimos/core/roots';

/** Plans cuts off the page. */
const bench = {
  plan: (record: RootRecord, terms: Terms, limit: number): RootPlan | null => planCuts(record, terms, limit),
  trade: (record: RootRecord, terms: Terms, most: number): Trade[] => tradeOff(record, terms, most),
  poses: (record: RootRecord, terms: Terms, limit: number): PoseAnswer[] =>
    comparePoses(record, terms, limit),
  practice: (seed: number, level: number): Case => practiceCase(seed, level),
  judge: (of: Case, plan: Record<string, Overrule>): Judged => judge(of, plan),
};

export type RootWorker = typeof bench;
expose(bench);
