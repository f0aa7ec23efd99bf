import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { DueToday, Round } from '@gonimos/contract/round';
import { getHeld } from '../common/api';

/** Steps shown at first; more are asked for by hand. */
export const FIRST_STEPS = 40;

export const useRound = (most = FIRST_STEPS) =>
  useQuery({
    queryKey: ['round', most],
    queryFn: () => getHeld<Round>(`/round?most=${most}`),
    placeholderData: keepPreviousData,
  });

/** How many steps are open, as the frame tells it on every page. */
export const useDueToday = () =>
  useQuery({ queryKey: ['round', 'open'], queryFn: () => getHeld<DueToday>('/round/open') });
