import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { SeasonOfPlace } from '@gonimos/contract/season';
import { get } from '../common/api';

export const useSeason = (placeId: string | undefined) =>
  useQuery({
    queryKey: ['season', placeId],
    queryFn: () => get<SeasonOfPlace>(`/places/${placeId}/season`),
    enabled: placeId !== undefined,
    placeholderData: keepPreviousData,
  });
