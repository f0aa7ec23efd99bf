import { call } from '../common/api';
import { useWrite } from '../common/write';
import type { Sheet } from './use-drawn';

/** A drawing as it is sent. */
interface Sent<R, D> extends Sheet<R, D> {
  label: string;
  on: string;
  note: string;
}

/** Keeping, changing and taking back drawings at an address: '/root-records'. */
export function useDrawingWrites<R, D>(path: string, recordId: string) {
  const keep = useWrite((r: Sent<R, D> & { cohortId: string }, id) =>
    call<{ id: string }>('POST', path, { ...r, id }),
  );
  const change = useWrite((r: Sent<R, D> & { version: number }, id) =>
    call<{ id: string; version: number }>('PUT', `${path}/${recordId}`, { ...r, id }),
  );
  const back = useWrite(({ recordId: of, version }: { recordId: string; version: number }, id) =>
    call<{ id: string }>('POST', `${path}/${of}/withdraw`, { id, version }),
  );
  return { keep, change, back };
}
