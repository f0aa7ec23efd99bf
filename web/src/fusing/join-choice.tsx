import { useMemo } from 'react';
import { joinSpots, suiting, type JoinSpot, type Member, type Suiting } from '@gonimos/core/fusing';
import { sideWords } from '@gonimos/core/stem';
import { length } from '../common/units';
import type { Slot } from './slot';

/** A stem no thicker than this against the other may be joined to it at a spot. Common practice, no source. */
const THIN = 0.6;

/** Of two stems the tree and the thin one; null where neither is thin against the other. */
export function treeAndThin(slots: readonly Slot[]): { tree: Slot; thin: Slot } | null {
  if (slots.length !== 2) return null;
  const [thin, tree] = slots.toSorted((a, b) => a.member.base - b.member.base);
  return thin.member.base <= THIN * tree.member.base ? { tree, thin } : null;
}

/** Whether a spot that was chosen is still on the tree, and in reach of the thin stem. */
export const reaches = (spot: JoinSpot, tree: Member, thin: Member): boolean =>
  spot.height < tree.height && suiting(spot, tree, thin).suits !== 'too short';

function spotWords({ lacks, height, azimuth, by }: JoinSpot): string {
  const side = `${Math.round(azimuth)}°, ${sideWords(azimuth)}`;
  if (lacks === 'root') return `at the base, ${side}: no root for ${Math.round(by)}°`;
  if (lacks === 'line')
    return `at ${length(height)}, ${side}: the trunk is ${length(by)} thinner than higher up`;
  return `at ${length(height)}, ${side}: a branch is missing`;
}

const SUITS: Record<Suiting['suits'], string> = {
  yes: '',
  'too short': 'too short to reach it and go on',
  'too thick': 'too thick for it',
};

/** The tree from the side with the thin stem leaning to where it is joined. */
function JoinView({ tree, thin, spot }: { tree: Member; thin: Member; spot: JoinSpot }) {
  const top = Math.max(spot.height * 1.8, tree.base * 5);
  const end = Math.min(tree.height, top);
  const at = (h: number) => (tree.base / 2) * (1 - h / tree.height);
  const x = (tree.base + thin.base) / 2;
  const wide = Math.max(top * 0.4, x * 2.5);
  const meet = at(spot.height);
  return (
    <svg
      viewBox={`${-wide} ${-top} ${2 * wide} ${top * 1.05}`}
      className="block h-48 w-full"
      role="img"
      aria-label={`A thin stem joined at ${length(spot.height)}`}
    >
      <line x1={-wide} x2={wide} y1={0} y2={0} stroke="var(--color-base-300)" strokeWidth={top / 200} />
      <path
        d={`M${-at(0)} 0L${-at(end)} ${-end}H${at(end)}L${at(0)} 0Z`}
        fill="var(--wood)"
        stroke="var(--wood-line)"
        strokeWidth={top / 260}
      />
      <path
        d={`M${x} 0Q${x} ${-spot.height * 0.6} ${meet} ${-spot.height}L${meet + top * 0.12} ${-Math.min(top, spot.height + top * 0.22)}`}
        fill="none"
        stroke="var(--celadon-deep)"
        strokeWidth={Math.max(top / 120, thin.base)}
        strokeLinecap="round"
      />
      <circle
        cx={meet}
        cy={-spot.height}
        r={top / 30}
        fill="none"
        stroke="var(--color-accent)"
        strokeWidth={top / 120}
      />
    </svg>
  );
}

interface Props {
  tree: Slot;
  thin: Slot;
  chosen: JoinSpot | null;
  onChoose: (spot: JoinSpot | null) => void;
}

/** Where a thin stem is joined to a thicker tree, to fill what that lacks; or both to one base. */
export function JoinChoice({ tree, thin, chosen, onChoose }: Props) {
  const spots = useMemo(
    () =>
      joinSpots(
        tree.member.roots.map((r) => r.azimuth),
        tree.stem,
        tree.finished,
      ).filter((s) => s.height < tree.member.height),
    [tree],
  );
  return (
    <fieldset className="grid gap-3 border-t border-base-300 pt-3 md:grid-cols-[minmax(0,1fr)_16rem]">
      <legend className="font-semibold">
        Stem {thin.member.id} is thin against {tree.member.id}: where is it joined?
      </legend>
      <div>
        <label className="flex min-h-11 items-center gap-3">
          <input
            type="radio"
            className="radio"
            name="join"
            checked={chosen === null}
            onChange={() => onChoose(null)}
          />
          both to one base
        </label>
        {spots.map((s) => {
          const { suits, thick, most } = suiting(s, tree.member, thin.member);
          return (
            <label
              key={`${s.lacks} ${s.height} ${s.azimuth}`}
              className="flex min-h-11 items-start gap-3 py-1.5"
            >
              <input
                type="radio"
                className="radio"
                name="join"
                checked={JSON.stringify(chosen) === JSON.stringify(s)}
                disabled={suits === 'too short'}
                onChange={() => onChoose(s)}
              />
              <span>
                {spotWords(s)}
                <span className={`block text-sm ${suits === 'yes' ? 'soft' : 'text-accent'}`}>
                  {suits === 'yes' ? '' : `${SUITS[suits]}: `}
                  {length(thick)} thick there, {length(most)} at most
                </span>
              </span>
            </label>
          );
        })}
        {spots.length === 0 && (
          <p className="soft">
            Draw roots and stem of the tree, and say how high it is to be: what it lacks is told from that.
          </p>
        )}
      </div>
      {chosen && <JoinView tree={tree.member} thin={thin.member} spot={chosen} />}
    </fieldset>
  );
}
