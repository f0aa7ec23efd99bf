/** Writes that were sent and not answered yet, by what they are about; kept where a reload does not lose them. */
export interface Outbox {
  /** the id a write goes under: the same input sent again after silence is the same write */
  idFor: (key: string, input: unknown) => string;
  /** an answer came: whatever is sent next is another write */
  answered: (key: string) => void;
}

type Store = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>;
interface Waiting {
  input: string;
  id: string;
}

/** An outbox over a store; one in memory only when there is none. */
export function outbox(newId: () => string, store: Store | null): Outbox {
  const memory = new Map<string, Waiting>();
  const name = (key: string) => `unanswered ${key}`;
  const kept = (key: string): Waiting | undefined => {
    try {
      return (
        memory.get(key) ?? (JSON.parse(store?.getItem(name(key)) ?? 'null') as Waiting | null) ?? undefined
      );
    } catch {
      return undefined;
    }
  };
  return {
    idFor: (key, input) => {
      const text = JSON.stringify(input) ?? '';
      const before = kept(key);
      if (before?.input === text) return before.id;
      const waiting = { input: text, id: newId() };
      memory.set(key, waiting);
      store?.setItem(name(key), JSON.stringify(waiting));
      return waiting.id;
    },
    answered: (key) => {
      memory.delete(key);
      store?.removeItem(name(key));
    },
  };
}
