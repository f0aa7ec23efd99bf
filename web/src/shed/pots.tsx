import { OwnPots } from '../stock/own-pots';
import { Stock } from '../stock/stock';

/** Containers on the shelf, and those of the nursery's own. */
export function PotsPart() {
  return (
    <div>
      <Stock />
      <OwnPots />
    </div>
  );
}
