import type { Nursery } from '@gonimos/contract/nursery';
import type { Person } from '@gonimos/contract/people';
import { mayDo } from '../http/route.ts';
import { shownAddress } from './address.ts';
import { todayAt, type NurseryRow } from './store.ts';

/** The nursery as it is told to somebody: where its station stands is for owners, and no secret is for anyone. */
export const shown = (
  { demoToday, weatherSeed: _w, plannedOn: _p, ...n }: NurseryRow,
  person: Person,
): Nursery => ({
  ...n,
  stationUrl: mayDo(person, 'owner') ? shownAddress(n.stationUrl) : null,
  today: todayAt({ ...n, demoToday, weatherSeed: null, plannedOn: null }),
  demo: demoToday !== null,
});
