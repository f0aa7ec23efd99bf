import { moreOfOpen, type FactSource } from '../facts/source.ts';
import { readWeeks } from './store.ts';

/** Weeks that the levelled year keeps for steps. */
export const weekFacts: FactSource = () => async (sql, facts) => {
  const weeks = await readWeeks(
    sql,
    facts.map((f) => f.id),
  );
  return facts.map((f) => {
    const own = weeks.get(f.id);
    return own
      ? moreOfOpen(
          f,
          own.map(({ key, week }) => ({ key, fact: { week } })),
        )
      : f;
  });
};
