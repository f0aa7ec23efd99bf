import { useQuery } from '@tanstack/react-query';
import type { SaveContainer } from '@gonimos/contract/own';
import type { Arrival, CountStock, StockRow } from '@gonimos/contract/stock';
import { call, get } from '../common/api';
import { useWrite, type Unsent } from '../common/write';

export const useStock = () => useQuery({ queryKey: ['stock'], queryFn: () => get<StockRow[]>('/stock') });
export const useCount = () =>
  useWrite((c: Unsent<CountStock>, id) => call<StockRow[]>('PUT', '/stock', { ...c, id }));
export const useArrival = () =>
  useWrite((a: Unsent<Arrival>, id) => call<StockRow[]>('POST', '/stock/arrival', { ...a, id }));

/** Keeps a container of the nursery's own. */
export const useSavePot = () =>
  useWrite((s: Unsent<SaveContainer>, id) =>
    call<{ id: string; version: number }>('POST', '/own-containers', { ...s, id }),
  );
