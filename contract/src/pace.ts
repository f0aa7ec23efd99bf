import { body, count, measure } from './fields.ts';

/** What the bench clock saw beside the minutes: how long roots were bare, minutes. */
export const paceTold = body({ bare: measure(0, 1440, 'min').nullable().default(null) });

/** As it is kept: with the plants the minutes were for. */
export const paceKept = paceTold.shape({ plants: count() });

/** What was learned of one kind of work on one kind of plant. */
export interface LearnedPace {
  operation: string;
  taxonId: string;
  /** minutes a plant the plan counts on, and those of the library */
  minutes: number;
  usual: number;
  sittings: number;
}

/** What the clock has taught. */
export interface PaceTable {
  learned: LearnedPace[];
  /** how long people take against all hands together; those with enough sittings */
  people: { id: string; name: string; factor: number; sittings: number }[];
}
