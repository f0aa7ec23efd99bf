import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { Link } from 'react-router';
import type { Planning } from '@gonimos/contract/planning';
import { useMay } from '../people/session';
import { call, get } from '../common/api';
import { useWrite } from '../common/write';

const LOOK_MS = 1000;
const running = (p: Planning | undefined) => p !== undefined && p.left > 0 && !p.paused;

/** How far the planning of many courses has come; when it is through, everything on screen is read again. */
function usePlanning() {
  const client = useQueryClient();
  const { data } = useQuery({
    queryKey: ['planning'],
    queryFn: () => get<Planning>('/planning'),
    refetchInterval: (q) => (running(q.state.data) ? LOOK_MS : false),
  });
  const ran = useRef(false);
  useEffect(() => {
    if (ran.current && data && data.left === 0)
      void client.invalidateQueries({
        predicate: (q) => !['session', 'planning'].includes(String(q.queryKey[0])),
      });
    ran.current = running(data);
  }, [client, data]);
  return data;
}

const usePause = () => useWrite((paused: boolean, id) => call<Planning>('PUT', '/planning', { id, paused }));

/** What everyone should know of the plans: being made again, stopped half way, or not to be made. */
export function PlanningLine() {
  const planning = usePlanning();
  const pause = usePause();
  const may = useMay('grower');
  if (!planning || (planning.left === 0 && planning.faults.length === 0)) return null;
  const { left, of, paused, cause, faults } = planning;
  return (
    <div className="no-print grid gap-2 border-b border-base-300 bg-[var(--slip)] px-4 py-2 lg:px-6">
      {left > 0 && (
        <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
          <p role="status">
            <strong>{paused ? 'Planning stopped' : 'Planning again'}:</strong> {left.toLocaleString('en')} of{' '}
            {of.toLocaleString('en')} courses still have their dates of before{cause ? ` (${cause})` : ''}.
          </p>
          <progress className="progress w-40" max={of} value={of - left} aria-label="Courses planned again" />
          {may && (
            <button
              type="button"
              className="btn btn-sm btn-outline min-h-11 lg:min-h-8"
              disabled={pause.isPending}
              onClick={() => pause.mutate(!paused)}
            >
              {paused ? 'Go on' : 'Stop'}
            </button>
          )}
        </div>
      )}
      {faults.length > 0 && (
        <p>
          <strong>Cannot be planned:</strong>{' '}
          {faults.map((f, i) => (
            <span key={f.id}>
              {i > 0 && '; '}
              <Link className="link" to={`/cohorts/${f.id}`}>
                {f.code}
              </Link>{' '}
              ({f.fault})
            </span>
          ))}
          . It keeps its dates of before.
        </p>
      )}
    </div>
  );
}
