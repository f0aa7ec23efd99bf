import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type {
  AskLayers,
  LayerPlan,
  NewLayerEvent,
  NewLayers,
  Parent,
  ParentLayers,
} from '@gonimos/contract/layers';
import type { Outcome } from '@gonimos/contract/outcome';
import { call, get } from '../common/api';
import { offerUndo } from '../common/undo';
import { useWrite, type Unsent } from '../common/write';

export const useParents = () => useQuery({ queryKey: ['parents'], queryFn: () => get<Parent[]>('/parents') });
export const useParentLayers = (id: string) =>
  useQuery({
    queryKey: ['parents', id],
    queryFn: () => get<ParentLayers>(`/parents/${id}/layers`),
    enabled: id !== '',
  });
/** What to cut for layers drawn and not cut yet; asked again as they are drawn. */
export const useLayerPlan = (parentId: string, ask: AskLayers | null) =>
  useQuery({
    queryKey: ['parents', parentId, 'plan', ask],
    queryFn: () => call<LayerPlan>('POST', `/parents/${parentId}/plan`, ask),
    enabled: ask !== null,
    placeholderData: keepPreviousData,
    retry: false,
  });
export const useMakeLayers = (parentId: string) =>
  useWrite((n: Unsent<NewLayers>, id) =>
    call<{ ids: string[] }>('POST', `/parents/${parentId}/layers`, { ...n, id }),
  );
export const useLayerEvent = (layerId: string) =>
  useWrite(async (e: Unsent<NewLayerEvent>, id) => {
    const outcome = await call<Outcome>('POST', `/layers/${layerId}/events`, { ...e, id });
    // a failure is an entry of the ledger, and taken back there
    if (e.kind !== 'failed') offerUndo(outcome.recordId, 'Recorded.', outcome.moved.length);
    return outcome;
  });

/** The parent was fed: one tap. */
export const useFed = (parentId: string) =>
  useWrite(async (on: string, id) => {
    const outcome = await call<Outcome>('POST', `/parents/${parentId}/fed`, { id, on });
    offerUndo(outcome.recordId, 'Fed.', outcome.moved.length);
    return outcome;
  });
