import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { AuditLine } from '@gonimos/contract/audit';
import { get } from '../common/api';
import { momentOf } from '../common/dates';

const FIRST = 8;

/** Who changed people, site, schools and programmes, and when; owners only. */
export function Trail() {
  const lines = useQuery({ queryKey: ['audit'], queryFn: () => get<AuditLine[]>('/audit') }).data ?? [];
  const [all, setAll] = useState(false);
  return (
    <section className="grid gap-3">
      <h2 className="text-xl">Who changed what</h2>
      <p className="soft text-sm">People and roles, site, schools and programmes. What stands here stays.</p>
      {lines.length === 0 ? (
        <p>Nothing was changed yet.</p>
      ) : (
        <ul className="card-plain divide-y divide-base-300">
          {lines.slice(0, all ? undefined : FIRST).map((l) => (
            <li key={l.seq} className="px-4 py-2">
              {l.what}
              <span className="soft block text-sm">
                {l.by}, {momentOf(l.at)}
              </span>
            </li>
          ))}
        </ul>
      )}
      {lines.length > FIRST && !all && (
        <button type="button" className="btn btn-ghost justify-self-start" onClick={() => setAll(true)}>
          All {lines.length}
        </button>
      )}
    </section>
  );
}
