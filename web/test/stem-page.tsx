import './window';
import { Outlet } from 'react-router';
import type { StemBench } from '@gonimos/contract/stem-records';
import { StemPart } from '../src/stem/bench';
import { cohortOf } from './cohort';
import { ID, shown } from './page';

const cohort = cohortOf({ live: 24 });
const WithCohort = () => <Outlet context={cohort} />;
/** The stem bench of twenty-four plants, on a page of its own. */
export const stemPage = (data: StemBench, answers: object = {}, kept: Record<string, unknown> = {}) =>
  shown(<WithCohort />, {
    kept,
    inside: <StemPart />,
    answers: {
      [`/cohorts/${ID(1)}/stem`]: data,
      'POST /calc/bites': (_: string, body: Record<string, unknown>) =>
        (body.stretches as { id: string }[]).map(({ id }) => ({
          id,
          thick: 6,
          due: '2037-07-18',
          bites: true,
        })),
      ...answers,
    },
  });
export type StemPage = Awaited<ReturnType<typeof stemPage>>;
