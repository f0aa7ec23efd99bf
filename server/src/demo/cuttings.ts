import { enterCohort } from '../cohorts/service.ts';
import { checkCuttings } from '../cuttings/service.ts';
import { cohortId, entered, goalId, named, type Chapter, type DemoRequest } from './hand.ts';

const by = 'Bruno Tessary';

const BATCHES = [
  entered('Cold frame', {
    code: 'YW-36',
    taxonId: 'taxus-baccata',
    programmeId: 'cutting-conifer',
    count: 90,
    started: '2036-07-04',
    container: 'cutting-tray',
    note: 'Heel cuttings off the old hedge.',
  }),
  entered('Heated house', {
    code: 'OJ-36',
    taxonId: 'murraya-paniculata',
    programmeId: 'cutting-broadleaf',
    count: 64,
    started: '2036-11-24',
    container: 'cutting-tray',
    parentId: cohortId('OJ-35'),
    note: 'Off the cut-back of the November.',
  }),
  entered('Cold frame', {
    code: 'OP-36H',
    taxonId: 'ligustrum-ovalifolium',
    programmeId: 'cutting-pencil',
    count: 50,
    started: '2036-12-12',
    container: 'cutting-tray',
    parentId: cohortId('OP-28'),
    goalId: goalId('privet'),
    note: 'Pencil-thick, leafless.',
  }),
];

interface Found {
  name: string;
  callus: number;
  dead: number;
}
const check = (code: string, on: string, batches: Found[]): DemoRequest => ({
  on,
  by,
  act: (w) =>
    checkCuttings(w, {
      id: named(`check of ${code}`),
      cohortId: cohortId(code),
      stepKey: 'check',
      on,
      cause: 'not rooted',
      potNow: false,
      part: null,
      minutes: 25,
      note: '',
      batches: batches.map((b) => ({ ...b, rooted: 0 })),
    }),
});

/** Yew with callus only since the autumn, jasmine cuttings whose second look is due. */
export const cuttings: Chapter = () => [
  ...BATCHES.map((c): DemoRequest => ({ on: c.started, by, act: (w) => enterCohort(w, c) })),
  check('YW-36', '2036-10-28', [
    { name: 'Tray 1', callus: 41, dead: 4 },
    { name: 'Tray 2', callus: 38, dead: 7 },
  ]),
  check('OJ-36', '2037-02-10', [{ name: 'Tray 1', callus: 57, dead: 7 }]),
];
