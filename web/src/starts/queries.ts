import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { AskStart, Goal, NewGoal, StartAnswer } from '@gonimos/contract/starts';
import { call, getHeld } from '../common/api';
import { useWrite, type Unsent } from '../common/write';

export const useGoals = () => useQuery({ queryKey: ['goals'], queryFn: () => getHeld<Goal[]>('/goals') });
/** How many to start; asked again as the want changes. */
export const useStartAnswer = (ask: AskStart | null) =>
  useQuery({
    queryKey: ['start numbers', ask],
    queryFn: () => call<StartAnswer>('POST', '/calc/start-numbers', ask),
    enabled: ask !== null,
    placeholderData: keepPreviousData,
    retry: false,
  });
export const useAddGoal = () =>
  useWrite((g: Unsent<NewGoal>, id) => call<{ id: string }>('POST', '/goals', { ...g, id }));
export const useCloseGoal = () =>
  useWrite(({ id: goal, version }: { id: string; version: number }, id) =>
    call<{ id: string }>('PUT', `/goals/${goal}/close`, { id, version }),
  );
