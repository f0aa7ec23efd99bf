import type { SharedPot } from '@gonimos/contract/pots';
import { apartWords } from '@gonimos/core/course';
import { dateSpan, readable } from '../common/dates';

/** When a shared pot may be opened for all, or that no day suits them all. */
export function OpeningWords({ pot, today }: { pot: SharedPot; today: string }) {
  const { opening } = pot;
  if (opening.kind === 'none') return null;
  if (opening.kind === 'together')
    return <>One opening does for all: {dateSpan(opening.from, opening.to, today)}.</>;
  return <strong className="text-accent">{readable(apartWords(opening) ?? '', today)}.</strong>;
}
