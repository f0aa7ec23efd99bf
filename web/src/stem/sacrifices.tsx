import { partWords, type SacrificeLook } from '@gonimos/core/stem';
import { percent, plural } from '@gonimos/core/words';
import { inUnits, length } from '../common/units';

/** What a sacrifice is told in the year it has to come off in, or this year where it is late. */
function Look({ look, n }: { look: SacrificeLook; n: number }) {
  const then = look.years.find((y) => y.year === look.offBy) ?? look.years[0];
  const gains = look.base.with - look.base.without;
  return (
    <li className="border-t border-base-300 py-3">
      <p>
        <strong>{inUnits(`${n}. The ${partWords(look.part)}`)}</strong>:{' '}
        {look.offBy === null ? (
          <span className="font-semibold text-accent">late now: what it leaves will show for years</span>
        ) : (
          `off by the end of ${look.offBy}`
        )}
        .
      </p>
      <p className="soft">
        {look.offBy === null ? 'Taken off after this season' : 'Then'} it is {length(then.diameter)} thick,
        its scar {percent(then.share)} of the stem,{' '}
        {then.shut === null ? 'open for more than 12 seasons' : `shut after ${plural(then.shut, 'season')}`};
        the base {length(look.base.with)}, {length(Math.max(0, gains), 1)} more than without it.
      </p>
      {look.shades.length > 0 && (
        <p className="mt-1">
          Takes the light from {look.shades.map((p) => p.id).join(', ')}: wire it up and outward, and thin its
          leaves or needles above them.
        </p>
      )}
      <details>
        <summary className="min-h-11 cursor-pointer py-2.5">Year by year</summary>
        <table className="w-full tabular-nums">
          <thead>
            <tr className="soft text-left text-sm">
              <th>after</th>
              <th className="text-right">thick</th>
              <th className="text-right">of the stem</th>
              <th className="text-right">shut after</th>
            </tr>
          </thead>
          <tbody>
            {look.years.map((y) => (
              <tr key={y.year} className={y.year === look.offBy ? 'font-semibold' : ''}>
                <td>{y.year}</td>
                <td className="text-right">{length(y.diameter)}</td>
                <td className="text-right">{percent(y.share)}</td>
                <td className="text-right">{y.shut === null ? '> 12' : plural(y.shut, 'season')}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </li>
  );
}

/** Shoots left to grow for the trunk’s sake, in the order they come off. */
export function Sacrifices({ looks }: { looks: readonly SacrificeLook[] }) {
  return (
    <section aria-label="Sacrifices">
      <h3 className="text-lg">Sacrifices, in turns</h3>
      <p className="soft">
        In middling weather, the plant as it stands now. Off while bark still hides the scar and callus shuts
        it within six seasons; both are common practice, no source.
      </p>
      <ol>
        {looks.map((look, i) => (
          <Look key={look.part.id} look={look} n={i + 1} />
        ))}
      </ol>
    </section>
  );
}
