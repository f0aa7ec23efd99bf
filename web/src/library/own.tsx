import type { Own } from '@gonimos/core/library';
import { Link } from 'react-router';
import { shortDate } from '../common/dates';
import { Trouble } from '../common/field';
import { useNursery } from '../nursery/queries';
import { useMay } from '../people/session';
import { useLetGo, useOwnLibrary, useOwnVersions } from './queries';

/** The version in force of one's own; null where the library's holds. */
/** What the library’s pages show and edit. */
type Edited = 'operation' | 'taxon';

export function useOwn(kind: Edited, id: string): Own | null {
  const own = useOwnLibrary().data?.own ?? [];
  return own.find((o) => o.kind === kind && o.id === id) ?? null;
}

const PATH = { operation: 'operations', taxon: 'taxa' };

/** Says that an entry is the nursery's own, and leads to changing or copying it. */
export function OwnLine({ kind, id, name }: { kind: Edited; id: string; name: string }) {
  const own = useOwn(kind, id);
  const may = useMay('grower');
  const to = `/library/${PATH[kind]}/${id}`;
  if (!may && !own) return null;
  return (
    <p className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-1 text-sm">
      {own && <span className="font-semibold">Your data, version {own.version}</span>}
      {may && (
        <>
          <Link className="link py-1" to={to} aria-label={`Change ${name}`}>
            Change
          </Link>
          <Link className="link py-1" to={`${to}?copy`} aria-label={`Copy ${name}`}>
            Copy
          </Link>
        </>
      )}
    </p>
  );
}

/** Who kept which version when, and the way back to what the library says. */
export function Versions({ kind, id, onGone }: { kind: Edited; id: string; onGone: () => void }) {
  const own = useOwn(kind, id);
  const all = (useOwnVersions().data ?? []).filter((v) => v.kind === kind && v.id === id);
  const today = useNursery().data?.today;
  const letGo = useLetGo();
  if (all.length === 0 || !today) return null;
  return (
    <section className="grid gap-2">
      <h3 className="text-lg">Versions</h3>
      {letGo.error && <Trouble>{letGo.error.message}</Trouble>}
      <ul className="text-sm">
        {all.map((v) => (
          <li key={v.version}>
            {v.version}: {v.letGo ? 'back to the library’s' : 'kept'} by {v.by},{' '}
            {shortDate(v.at.slice(0, 10), today)}
          </li>
        ))}
      </ul>
      {own && own.like === own.id && (
        <button
          type="button"
          className="btn btn-outline justify-self-start"
          disabled={letGo.isPending}
          onClick={() => letGo.mutate({ kind, ownId: id, basedOn: all[0].version }, { onSuccess: onGone })}
        >
          Back to the library’s
        </button>
      )}
    </section>
  );
}

/** The version a next one is made from: that last kept, also where it went back to the library's; 0 for none, null while it is not known. */
export function useBasedOn(kind: Edited, id: string): { basedOn: number | null; error: Error | null } {
  const { data, error } = useOwnVersions();
  const last = data?.find((v) => v.kind === kind && v.id === id);
  return { basedOn: data ? (last?.version ?? 0) : null, error };
}
