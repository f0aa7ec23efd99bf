import { bendIn } from '@gonimos/core/bends';
import {
  partWords,
  type ChopCut,
  type ChopPlan,
  type Sprouts,
  type StemPart,
  type StemRecord,
} from '@gonimos/core/stem';
import type { GrowthGroup } from '@gonimos/core/taxa';
import { percent, plural } from '@gonimos/core/words';
import { inUnits, length } from '../common/units';
import { points } from '../common/points';

interface Props {
  plan: ChopPlan;
  sprouts: Sprouts;
  cutAt: number | null;
  onCut: (at: number | null) => void;
  record: StemRecord;
  group: GrowthGroup;
  /** parts that have a wire */
  wired: ReadonlySet<string | null>;
  /** a shoot is wired up into the line */
  onBend: (part: StemPart) => void;
}

/** Bent into the new line, what would lead need not be waited for: whether its wood bears it. */
function BendIn({
  part,
  record,
  group,
  wired,
  onBend,
}: { part: StemPart } & Pick<Props, 'record' | 'group' | 'wired' | 'onBend'>) {
  const bent = bendIn(record, part, group);
  if (!bent || bent.turn === 0) return null;
  const figures = `it turns ${Math.round(bent.turn)}° at a radius of ${length(bent.radius)}, its wood bears ${length(bent.bears)}`;
  if (!bent.goes) return <p className="soft mt-1">Too stiff to be bent into the line: {figures}.</p>;
  return (
    <p className="mt-1 flex flex-wrap items-center gap-x-3">
      <span>
        It can be bent into the line: <span className="soft">{figures}</span>.
      </span>
      {!wired.has(part.id) && (
        <button
          type="button"
          className="btn btn-ghost btn-sm min-h-11 border border-base-300"
          onClick={() => onBend(part)}
        >
          Wire it up<span className="sr-only">, {part.id}</span>
        </button>
      )}
    </p>
  );
}

const shutWords = (shut: number | null): string =>
  shut === null ? 'still open after 25 seasons' : `shut after ${plural(shut, 'season')}`;

interface CutProps extends Pick<Props, 'onCut' | 'record' | 'group' | 'wired' | 'onBend'> {
  cut: ChopCut;
  n: number;
  decided: boolean;
}

function Cut({ cut, n, decided, onCut, ...bend }: CutProps) {
  return (
    <li className={`border-t border-base-300 py-3 ${decided ? 'bg-[var(--slip)] px-3' : ''}`}>
      <div className="flex flex-wrap items-start justify-between gap-2">
        <p className="min-w-0 flex-1">
          <span className="mr-2 inline-grid size-6 place-items-center rounded-full bg-base-content text-sm font-bold text-base-100">
            {n}
          </span>
          <strong>
            At {length(cut.at)}, {cut.leader ? inUnits(`to the ${partWords(cut.leader)}`) : 'above the buds'}
          </strong>
          <br />
          <span className="soft">
            Wound of {length(cut.wound)}, {shutWords(cut.shut)}.{' '}
            {cut.inHand > 0
              ? `${plural(cut.inHand, 'other part')} below can take over.`
              : 'Nothing else below can take over.'}
          </span>
        </p>
        <button
          type="button"
          className={`btn ${decided ? 'btn-neutral' : 'border border-base-300 bg-base-100'}`}
          aria-pressed={decided}
          onClick={() => onCut(decided ? null : cut.at)}
        >
          {decided ? 'To be cut here' : 'Cut here'}
        </button>
      </div>
      {cut.leader && <BendIn part={cut.leader} {...bend} />}
      {cut.thicker.map((p) => (
        <p key={p.id} className="mt-1 font-semibold text-accent">
          The {inUnits(partWords(p))} is thicker than what would lead: it takes over unless it is cut back.
        </p>
      ))}
      <details>
        <summary className="min-h-11 cursor-pointer py-2.5">How, why, and what the cut-off gives</summary>
        <div className="grid gap-3 pb-2">
          <ol className="list-decimal pl-5">
            {cut.steps.map((s) => (
              <li key={s}>{inUnits(s)}</li>
            ))}
          </ol>
          {cut.gives.length > 0 && (
            <div>
              <p className="font-semibold">The cut-off gives</p>
              <ul className="list-disc pl-5">
                {cut.gives.map((g) => (
                  <li key={g}>{g}</li>
                ))}
              </ul>
            </div>
          )}
          <ul className="soft text-sm">
            {cut.terms.map((t) => (
              <li key={t.label} className="flex justify-between gap-2">
                <span>{t.label}</span>
                <span>{points(t.points)}</span>
              </li>
            ))}
            <li className="flex justify-between gap-2 border-t border-base-300 font-semibold">
              <span>in all</span>
              <span>{points(cut.points)}</span>
            </li>
          </ul>
        </div>
      </details>
    </li>
  );
}

/** How the kind breaks below a cut, and whose figure that is. */
function Breaks({ sprouts }: { sprouts: Sprouts }) {
  const { own, shoots, library } = sprouts;
  const [low, high] = own ? [percent(own.low), percent(own.high)] : ['', ''];
  return (
    <p className="border-t border-base-300 py-2">
      Cut above bare wood, {percent(sprouts.mean)} of stems of this kind are expected to break.{' '}
      <span className="soft">
        {own
          ? `Yours: ${percent(own.value)} of ${plural(sprouts.stems, 'stem')} in ${plural(sprouts.batches, 'look')} (${low} to ${high})${shoots === null ? '' : `, ${shoots.toFixed(1)} shoots on each`}; the library says ${percent(library.value)}, ${library.basis}.`
          : `The library’s figure, ${library.basis}: what you count when shoots are chosen takes its place.`}
      </span>
    </p>
  );
}

/** How many cuts are set side by side. */
const SHOWN = 4;

/** Where it may be cut, best first, and where it may not. */
export function Chops({ plan, sprouts, cutAt, onCut, ...bend }: Props) {
  const { base, band } = plan;
  return (
    <section aria-label="Where to cut" className="when-near">
      <h3 className="text-lg">Where to cut</h3>
      <p className="soft">
        The first cut belongs between {length(band.from)} and {length(band.to)}: a third to two thirds of the
        finished height. A tree of this height and style wants {length(base.wanted)} at the base;{' '}
        {base.now >= base.wanted
          ? 'it has them.'
          : `it has ${length(base.now)}, so let the top grow on first if nothing else presses.`}
      </p>
      <ol className="mt-2">
        {plan.cuts.slice(0, SHOWN).map((cut, i) => (
          <Cut
            key={cut.at}
            cut={cut}
            n={i + 1}
            decided={cutAt !== null && Math.abs(cut.at - cutAt) < 0.5}
            onCut={onCut}
            {...bend}
          />
        ))}
      </ol>
      <Breaks sprouts={sprouts} />
      {plan.refused.map((r) => (
        <p key={r.why} className="border-t border-base-300 py-2">
          <strong>Not at {length(r.at)}:</strong> {inUnits(r.why)}.
        </p>
      ))}
      {plan.cuts.length > 0 && (
        <p className="mt-2 border-l-4 border-accent pl-3">
          A saw or a sharp knife under tension slips: cut away from the hand, glasses on for the last of the
          top. Local rules come first.
        </p>
      )}
      <p className="soft mt-2 text-sm">
        Points and bounds are common practice, no source. How long a wound stays open comes from the rings the
        plant would lay down there; the form is Neely’s of 1988, from memory.
      </p>
    </section>
  );
}
