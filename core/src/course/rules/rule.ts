import type { Day } from '../../calendar/index.ts';
import type { Plant } from '../../plant/index.ts';
import type { Window } from '../windows/index.ts';
import type { Context, Demand, RuleName, StepInHand } from '../types.ts';

/** The last work of a lane that took something, and the growing seasons it wants to recover. */
export interface LastWork {
  day: Day;
  title: string;
  seasons: number;
}
export type LastWorks = ReadonlyMap<string, LastWork>;

/** What a rule is asked with, by when it speaks. */
export interface Asked {
  /** before a day is looked for */
  before: (ctx: Context, hand: StepInHand) => Demand[];
  /** once a window is found */
  'in the window': (ctx: Context, hand: StepInHand, window: Window) => Demand | null;
  /** of the plant, the place and the other work as they will be on the day in question */
  'on the day': (ctx: Context, hand: StepInHand, plant: Plant, last: LastWorks) => Demand | null;
}

/** What growers read of a rule. */
export interface RuleWords {
  name: RuleName;
  words: string;
  /** what would move a date that this rule decides */
  wouldChange: string;
}

/** A rule of scheduling. A new one is written in a file of its own and added to the list. */
export interface RuleOf<W extends keyof Asked> extends RuleWords {
  when: W;
  ask: Asked[W];
}
