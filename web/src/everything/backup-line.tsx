import { useQuery } from '@tanstack/react-query';
import type { LastBackup } from '@gonimos/contract/everything';
import { useMay } from '../people/session';
import { get } from '../common/api';

const day = (at: string) =>
  new Date(at).toLocaleDateString('en-GB', { day: 'numeric', month: 'long', year: 'numeric' });

/** Told to owners when the last copy of the database is old, or there is none. */
export function BackupLine() {
  const owner = useMay('owner');
  const { data } = useQuery({
    queryKey: ['backup'],
    queryFn: () => get<LastBackup>('/backup'),
    enabled: owner,
  });
  if (!data?.old) return null;
  return (
    <p role="status" className="no-print bg-[var(--slip)] px-4 py-2 text-sm lg:px-6">
      <strong>
        {data.at === null ? 'There is no copy of this nursery yet.' : `The last copy is of ${day(data.at)}.`}
      </strong>{' '}
      On the machine it runs on: <code>npm run backup -- FILE</code>
    </p>
  );
}
