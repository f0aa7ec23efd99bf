import { useSyncExternalStore } from 'react';
import { usePlaces } from '../nursery/queries';

const KEY = 'ribbon place';
const listeners = new Set<() => void>();

function choose(id: string): void {
  localStorage.setItem(KEY, id);
  for (const tell of listeners) tell();
}

/** The place whose year the ribbon shows; the first outdoors unless chosen. */
export function usePlaceChoice(): [id: string | undefined, choose: (id: string) => void] {
  const kept = useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    () => localStorage.getItem(KEY),
  );
  const places = usePlaces().data ?? [];
  const here = places.find((p) => p.id === kept) ?? places.find((p) => p.kind === 'outdoors') ?? places[0];
  return [here?.id, choose];
}
