import { QUESTIONS, type Question } from '@gonimos/core/schools';
import { Link } from 'react-router';
import { useNursery } from '../nursery/queries';

/** Questions on which growers part; the nursery's answer is marked. */
export function Schools() {
  const nursery = useNursery().data;
  return (
    <div className="grid gap-4">
      <p className="max-w-prose">
        None is labelled wrong. The nursery’s answers are set under{' '}
        <Link to="/nursery" className="underline">
          Nursery
        </Link>
        , a programme’s in the programme, a cohort’s where the cohort is changed; the narrower one holds.
        Common practice, no source.
      </p>
      <ul className="grid gap-2.5 md:grid-cols-2">
        {(QUESTIONS as readonly Question[]).map((q) => {
          const held = (nursery?.schools as Record<string, string> | undefined)?.[q.id];
          return (
            <li key={q.id} className="card-plain p-4">
              <h3 className="text-lg">{q.question}</h3>
              <ul className="mt-1">
                {Object.entries(q.options).map(([o, words]) => (
                  <li key={o} className={o === (held ?? q.usual) ? 'font-semibold' : 'soft'}>
                    {words}
                    {o === held ? ' · the nursery’s' : o === q.usual ? ' · usual' : ''}
                  </li>
                ))}
              </ul>
              <p className="soft mt-1 text-sm">
                {q.decides === 'plan' ? 'Moves the plan' : 'Changes what is used'}
              </p>
            </li>
          );
        })}
      </ul>
    </div>
  );
}
