import type { NewGoal } from '@gonimos/contract/starts';
import { enterGoal } from '../starts/enter.ts';
import { goalId, placeId, type Chapter, type DemoRequest } from './hand.ts';

type Want = Omit<NewGoal, 'id' | 'confidence' | 'most' | 'cost' | 'note'>;

const want = (name: string, on: string, w: Want): DemoRequest => ({
  on,
  by: 'Ines Tessary',
  act: (writing) =>
    enterGoal(writing, {
      ...w,
      id: goalId(name),
      confidence: 0.9,
      most: 800,
      cost: { centsEach: 5, wage: 1500 },
      note: '',
    }),
});

/** What the Tessarys start for. */
export const goals: Chapter = () => [
  want('hornbeam', '2036-11-01', {
    taxonId: 'carpinus-betulus',
    programmeId: 'seed-broadleaf',
    placeId: placeId('Cold frame'),
    stage: 'corrected',
    wanted: 90,
    byYear: 2039,
  }),
  want('privet', '2036-11-02', {
    taxonId: 'ligustrum-ovalifolium',
    programmeId: 'cutting-broadleaf',
    placeId: placeId('Cold frame'),
    stage: 'single',
    wanted: 60,
    byYear: 2038,
  }),
  want('jasmine', '2037-01-20', {
    taxonId: 'murraya-paniculata',
    programmeId: 'seed-broadleaf',
    placeId: placeId('Heated house'),
    stage: 'showing',
    wanted: 40,
    byYear: 2037,
  }),
];
