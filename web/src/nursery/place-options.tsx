import { usePlaces } from './queries';

/** The places as options of a select. */
export function PlaceOptions() {
  return (usePlaces().data ?? []).map((p) => (
    <option key={p.id} value={p.id}>
      {p.name}
    </option>
  ));
}
