import {
  ENOUGH_LIGHT,
  partWords,
  sideWords,
  type Keeper,
  type SacrificeLook,
  type StemPart,
} from '@gonimos/core/stem';
import { percent, plural } from '@gonimos/core/words';
import { inUnits, length } from '../common/units';

type OnWire = (part: StemPart, azimuth: number) => void;

/** A part in the shade of a sacrifice: the light it has, and what gives it more. */
function InShade({ keeper, onWire }: { keeper: Keeper; onWire: OnWire }) {
  const { part, light, wired, thinned } = keeper;
  return (
    <li className="flex flex-wrap items-center justify-between gap-2 py-1">
      <span className="min-w-0 flex-1">
        <strong>
          {part.id}, {part.kind}
        </strong>
        : {percent(light)} of the light{light < ENOUGH_LIGHT ? ', too little to stay' : ''};{' '}
        {percent(thinned)} once what hangs above is thinned by half
        {wired && `; ${percent(wired.light)} wired to the ${sideWords(wired.azimuth)}`}.
      </span>
      {wired && (
        <button
          type="button"
          className="btn border border-base-300 bg-base-100"
          onClick={() => onWire(part, wired.azimuth)}
        >
          Wired there<span className="sr-only">: {part.id}</span>
        </button>
      )}
    </li>
  );
}

/** What is done with a scar that bark and callus will not hide. */
const carveWords = ({ front }: SacrificeLook): string =>
  front
    ? 'It would be seen from the front: turn the front, or carve it along the grain into a feature.'
    : 'It lies at the back: carve it so that water runs off, or let it show.';

/** What it does for roots of its side, or for the base of the next layer. */
function Serves({ look }: { look: SacrificeLook }) {
  const { part, roots, ring, base } = look;
  if (part.feeds === 'roots')
    return (
      <p>
        {roots.length === 0
          ? 'No roots are drawn on its side: draw them under the same name, and what they gain is told here.'
          : `Roots on its side: ${roots.map((r) => `${sideWords(r.azimuth)} ${length(r.now)} → ${length(r.then)}`).join(', ')}.`}
      </p>
    );
  if (part.feeds === 'layer')
    return (
      <p>
        {ring === null
          ? 'It stands too low for a ring below it.'
          : `Ringed at ${length(ring.at)}, the next layer of ${look.offBy} would begin with ${length(ring.with)} there; without it ${length(ring.without)}. It stays until that layer is severed.`}
      </p>
    );
  return (
    <p className="soft">
      The base {length(base.with)}, {length(Math.max(0, base.with - base.without), 1)} more than without it.
    </p>
  );
}

/** What a sacrifice is told in the year it has to come off in, or this year where it is late. */
function Look({ look, n, onWire }: { look: SacrificeLook; n: number; onWire: OnWire }) {
  const then = look.years.find((y) => y.year === look.offBy) ?? look.years[0];
  const layer = look.part.feeds === 'layer';
  return (
    <li className="border-t border-base-300 py-3">
      <p>
        <strong>{inUnits(`${n}. The ${partWords(look.part)}`)}</strong>:{' '}
        {look.offBy === null ? (
          <span className="font-semibold text-accent">late now: what it leaves will show for years</span>
        ) : layer ? (
          'kept for the next layer'
        ) : (
          `off by the end of ${look.offBy}`
        )}
        . {look.offBy === null && carveWords(look)}
      </p>
      <p className="soft">
        {look.offBy === null ? 'Taken off after this season' : 'Then'} it is {length(then.diameter)} thick,
        its scar {percent(then.share)} of the stem,{' '}
        {then.shut === null ? 'open for more than 12 seasons' : `shut after ${plural(then.shut, 'season')}`}.
      </p>
      <Serves look={look} />
      {look.keepers.length > 0 && (
        <div className="mt-1 bg-[var(--slip)] px-3 py-2">
          <p>It takes the light from what is kept below it:</p>
          <ul>
            {look.keepers.map((k) => (
              <InShade key={k.part.id} keeper={k} onWire={onWire} />
            ))}
          </ul>
        </div>
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
export function Sacrifices({ looks, onWire }: { looks: readonly SacrificeLook[]; onWire: OnWire }) {
  return (
    <section aria-label="Sacrifices" className="when-near">
      <h3 className="text-lg">Sacrifices, in turns</h3>
      <p className="soft">
        In middling weather, the plant as it stands now. Off while bark still hides the scar and callus shuts
        it within six seasons. These bounds, and how much light one takes, are common practice, no source.
      </p>
      <ol>
        {looks.map((look, i) => (
          <Look key={look.part.id} look={look} n={i + 1} onWire={onWire} />
        ))}
      </ol>
    </section>
  );
}
