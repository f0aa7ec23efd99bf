import { workOn } from '@gonimos/contract/records';
import { recordOnly } from '../records/service.ts';
import { cohortId, named, type Chapter, type DemoRequest } from './hand.ts';

/** A wire as it was noted: on what, and by when it has to be looked at. */
interface Noted {
  note: string;
  due: string;
  /** thickness by that of the base, and the crown on it */
  of: number;
  share: number;
}

const idOf = (code: string, note: string) => named(`wire on ${code}: ${note}`);

const told = (
  code: string,
  on: string,
  what: string,
  fittings: NonNullable<Parameters<typeof workOn>[0]['details']>['fittings'],
): DemoRequest => ({
  on,
  by: 'Ines Tessary',
  act: (w) =>
    recordOnly(
      w,
      workOn({
        id: named(`${what} ${code} ${on}`),
        cohortId: cohortId(code),
        stepKey: null,
        on,
        details: { fittings },
      }),
    ),
});

const on = (code: string, day: string, wires: readonly Noted[]): DemoRequest =>
  told(code, day, 'wired', {
    on: wires.map(({ note, due, of, share }) => ({
      id: idOf(code, note),
      what: 'wire',
      note,
      due,
      stretch: { of, share },
    })),
    off: [],
    kept: [],
    tend: null,
  });

const off = (code: string, day: string, notes: readonly [note: string, held: boolean][]): DemoRequest =>
  told(code, day, 'unwired', {
    on: [],
    off: notes.map(([note]) => idOf(code, note)),
    kept: notes.map(([note, held]) => ({ id: idOf(code, note), held })),
    tend: null,
  });

const FIRST = { note: '2 mm aluminium, branch at 92 mm, W, 5 mm', due: '2036-07-10', of: 0.19, share: 0.05 };
const SECOND = {
  note: '2 mm aluminium, branch at 245 mm, NW, 5 mm',
  due: '2036-07-14',
  of: 0.19,
  share: 0.05,
};

/** A cornel wired over two years: one branch kept its bend, one sprang back and is wired again, one bites this month. */
export const wires: Chapter = () => [
  on('CC-32', '2036-03-04', [FIRST, SECOND]),
  off('CC-32', '2036-07-08', [
    [FIRST.note, true],
    [SECOND.note, false],
  ]),
  on('CC-32', '2036-10-28', [
    { note: '2 mm aluminium, branch at 190 mm, E, 6 mm', due: '2037-03-16', of: 0.22, share: 0.07 },
    { note: '2.5 mm aluminium, branch at 245 mm, NW, again', due: '2037-06-02', of: 0.19, share: 0.05 },
  ]),
];
