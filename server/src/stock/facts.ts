import { moreOfOpen, type FactSource } from '../facts/source.ts';
import { readShorts } from './store.ts';

/** Containers that fall short for steps. */
export const shortFacts: FactSource = async (sql, { today }) => {
  const shorts = await readShorts(sql, today);
  return (_sql, facts) =>
    Promise.resolve(
      facts.map((f) => {
        const own = shorts.get(f.id);
        return own
          ? moreOfOpen(
              f,
              own.map(({ key, short }) => ({ key, fact: { short } })),
            )
          : f;
      }),
    );
};
