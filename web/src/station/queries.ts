import { useQuery } from '@tanstack/react-query';
import type { StationNow } from '@gonimos/contract/station';
import type { Warning } from '@gonimos/core/station';
import { get, getHeld } from '../common/api';

const MINUTE = 60_000;

/** The weather station, asked again every minute while it is on screen. */
export const useStation = () =>
  useQuery({ queryKey: ['station'], queryFn: () => get<StationNow>('/station'), refetchInterval: MINUTE });

/** What the days ahead warn of. */
export const useWarnings = () =>
  useQuery({ queryKey: ['warnings'], queryFn: () => getHeld<Warning[]>('/warnings') });
