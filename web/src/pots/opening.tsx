import type { SharedPot } from '@gonimos/contract/pots';
import { dateSpan, shortDate } from '../common/dates';

/** When a shared pot may be opened for all, or that no day suits them all. */
export function OpeningWords({ pot, today }: { pot: SharedPot; today: string }) {
  const { opening } = pot;
  if (opening.kind === 'none') return null;
  if (opening.kind === 'together')
    return <>One opening does for all: {dateSpan(opening.from, opening.to, today)}.</>;
  return (
    <strong className="text-accent">
      No day suits them all: {opening.first} is opened by {shortDate(opening.closes, today)}, {opening.second}{' '}
      not before {shortDate(opening.opens, today)}. Part them, or choose whose season counts.
    </strong>
  );
}
