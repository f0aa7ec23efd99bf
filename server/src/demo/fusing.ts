import { addDays } from '@gonimos/core/calendar';
import type { FuseMethod } from '@gonimos/contract/fusing';
import { workOn, type NewRecord } from '@gonimos/contract/records';
import { setTogether, type Member } from '@gonimos/core/fusing';
import { random } from '@gonimos/core/random';
import { lookAt } from '../fusing/service.ts';
import { recordOnly } from '../records/service.ts';
import { cohortId, named, OPENING_DAY, type Chapter } from './hand.ts';

const by = 'Ines Tessary' as const;

/** Stems as they were picked for a group: with the roots a seedling of such a base has. */
function picked(count: number, base: number, seed: number): Member[] {
  const rng = random(seed);
  const around = () => Math.round(360 * rng.next()) % 360;
  return Array.from({ length: count }, (_, i) => ({
    id: 'abcde'[i],
    base: Math.round(10 * base * (1 - 0.12 * i)) / 10,
    height: Math.round(base * 45 * (1 - 0.1 * i)),
    curve: around(),
    roots: Array.from({ length: 7 }, () => ({
      azimuth: around(),
      reach: Math.round(30 + 50 * rng.next()),
      diameter: Math.round(10 * (1 + 2 * rng.next())) / 10,
      height: 0,
    })),
    branches: [],
  }));
}

/** Stems set together between two steps of the course. */
function setting(
  code: string,
  on: string,
  members: Member[],
  { method, note }: { method: FuseMethod; note: string },
): NewRecord {
  return workOn({
    id: named(`setting of ${code}`),
    cohortId: cohortId(code),
    stepKey: null,
    on,
    note,
    details: {
      group: {
        id: named(`group of ${code}`),
        method,
        stood: setTogether(members).stood,
        join: null,
        members: members.map((m) => ({
          ...m,
          cohortId: cohortId(code),
          roots: [...m.roots],
          branches: [...m.branches],
        })),
      },
    },
  });
}

/** Two pines that were bound a spring ago and still grow together, and five limes that were set together this week. */
export const fusing: Chapter = () => [
  {
    // copied with the notebooks, as all that is older
    on: addDays(OPENING_DAY, -4),
    by,
    act: (w) =>
      recordOnly(
        w,
        setting('SP-33', '2036-04-06', picked(2, 9, 31), { method: 'bound', note: 'a twin trunk, low' }),
      ),
  },
  {
    on: addDays(OPENING_DAY, -3),
    by,
    act: (w) =>
      lookAt(w, {
        id: named('look at the pines'),
        groupId: named('group of SP-33'),
        version: 1,
        outcome: 'growing',
        again: '2037-03-16',
        note: 'wire eased, bark meets on one side',
      }),
  },
  {
    on: addDays(OPENING_DAY, -2),
    by,
    act: (w) =>
      recordOnly(
        w,
        setting('TC-36', '2037-03-07', picked(5, 6, 57), {
          method: 'overlapped',
          note: 'five of the strongest, for a clump on one base',
        }),
      ),
  },
];
