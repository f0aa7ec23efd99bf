import type { CourseChange } from '@gonimos/core/course';
import { dateSpan, readable, shortDate } from './dates';

const span = (a: string | null, b: string | null, today: string) =>
  a && b ? dateSpan(a, b, today) : 'no date';

/** What a change would do to a course: what moves and why, what is new, what falls away. */
export function Change({ change, today, most = 12 }: { change: CourseChange; today: string; most?: number }) {
  const { moved, added, removed, ends } = change;
  if (moved.length + added.length + removed.length === 0) return <p className="soft">Nothing moves.</p>;
  return (
    <div className="grid gap-3">
      {ends.was !== ends.now && ends.was && ends.now && (
        <p>
          The course ends <s className="soft">{shortDate(ends.was, today)}</s> →{' '}
          <strong>{shortDate(ends.now, today)}</strong>
        </p>
      )}
      {moved.length > 0 && (
        <ul className="divide-y divide-base-300">
          {moved.slice(0, most).map((m) => (
            <li key={m.key} className="py-2">
              <p>
                <strong>{m.title}</strong>
                {m.days !== null && m.days !== 0 && (
                  <span
                    className={`ml-2 text-sm font-semibold ${m.days > 0 ? 'text-accent' : 'text-primary'}`}
                  >
                    {Math.abs(m.days)} days {m.days > 0 ? 'later' : 'earlier'}
                  </span>
                )}
              </p>
              <p className="text-sm">
                <s className="soft">{span(m.was.opens, m.was.closes, today)}</s> →{' '}
                {span(m.now.opens, m.now.closes, today)}
              </p>
              {m.because && <p className="soft text-sm">because: {readable(m.because.text, today)}</p>}
            </li>
          ))}
          {moved.length > most && <li className="soft py-2">and {moved.length - most} more move</li>}
        </ul>
      )}
      {added.length > 0 && (
        <p>
          <strong>New:</strong>{' '}
          {added.map((s) => `${s.title} (${s.opens ? shortDate(s.opens, today) : 'no date'})`).join(', ')}
        </p>
      )}
      {removed.length > 0 && (
        <p>
          <strong>No longer asked for:</strong> {removed.map((s) => s.title).join(', ')}
        </p>
      )}
    </div>
  );
}
