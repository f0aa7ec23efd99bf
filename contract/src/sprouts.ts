import { body, count } from './fields.ts';

/** Stems looked at some weeks after they were cut: how many broke below the cut, and shoots on all of them. */
export const sproutsTold = body({
  cut: count().min(1, 'is below 1').required('is missing'),
  broke: count().required('is missing'),
  shoots: count().nullable().default(null),
})
  .test('broke', 'has more that broke than were cut', (v) => !v || v.broke <= v.cut)
  .test(
    'shoots',
    'has fewer shoots than stems that broke',
    (v) => !v || v.shoots === null || v.shoots >= v.broke,
  );
