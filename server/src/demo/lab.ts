import { addDays } from '@gonimos/core/calendar';
import { adoptCourse } from '../trunk/service.ts';
import { cohortId, named, OPENING_DAY, type Chapter } from './hand.ts';

/** One course that the trunk lab’s search found was taken into the plan: a larger basket, and a low sacrifice for three years. */
export const lab: Chapter = (h) => [
  {
    on: addDays(OPENING_DAY, -2),
    by: 'Ines Tessary',
    act: (w) =>
      adoptCourse(
        w,
        {
          id: named('a found course for PP-33'),
          cohortId: cohortId('PP-33'),
          goal: 40,
          wish: {
            name: '40 mm in the fewest years',
            pots: [{ year: 2037, container: 'basket-32' }],
            prune: 'none',
            sacrifice: { from: 2037, to: 2040, height: 50, foliage: 0.6 },
            chop: null,
            carve: false,
            methods: [],
          },
        },
        h.person('Ines Tessary').id,
      ),
  },
];
