import { useQuery } from '@tanstack/react-query';
import type { StationNow } from '@gonimos/contract/station';
import { get } from '../common/api';

const MINUTE = 60_000;

/** The weather station, asked again every minute while it is on screen. */
export const useStation = () =>
  useQuery({ queryKey: ['station'], queryFn: () => get<StationNow>('/station'), refetchInterval: MINUTE });
