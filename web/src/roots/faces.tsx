import { facesOf, type Face, type RootRecord } from '@gonimos/core/roots';
import { percent } from '@gonimos/core/words';

const HELD: Record<Face['held'], string> = {
  well: '',
  thin: 'thin: a shoot left above it feeds it',
  bare: 'bare: lead a root there before it is bound',
};

/** Sides of the rock, and how each is held; nothing where the plant sits on none. */
export function Faces({ record }: { record: RootRecord }) {
  const faces = facesOf(record);
  if (!faces) return null;
  return (
    <section aria-label="On the rock">
      <h3 className="text-lg">On the rock</h3>
      <ul>
        {faces.map((f) => (
          <li
            key={f.name}
            className="grid grid-cols-[5rem_4rem_minmax(0,1fr)] gap-3 border-b border-base-300 py-1.5"
          >
            <span>{f.name}</span>
            <strong className="text-right">{percent(f.share)}</strong>
            <span className={f.held === 'well' ? 'soft' : 'font-semibold text-accent'}>
              {f.roots.join(', ')}
              {f.held !== 'well' && `${f.roots.length > 0 ? ' · ' : ''}${HELD[f.held]}`}
            </span>
          </li>
        ))}
      </ul>
      <p className="soft text-sm">
        Of the cross-section of all roots. Where a side is thin is common practice, no source.
      </p>
    </section>
  );
}
