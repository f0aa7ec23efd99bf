import type { QueryClient } from '@tanstack/react-query';

/**
 * What was written is read again by whoever shows it, but for who is signed in. A first reading that is still under way
 * was asked before the write: it is given up and asked anew, else it would stand as if it knew.
 */
export async function readAgain(client: QueryClient): Promise<void> {
  const others = { predicate: (q: { queryKey: readonly unknown[] }) => q.queryKey[0] !== 'session' };
  await client.cancelQueries(others);
  await client.invalidateQueries(others);
}
