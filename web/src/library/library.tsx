import { Outlet } from 'react-router';
import { Parts } from '../common/parts';

const PARTS = [
  ['', 'Programmes'],
  ['operations', 'Operations'],
  ['taxa', 'Taxa'],
  ['schools', 'Schools'],
  ['practice', 'Practice'],
] as const;

/** What Gonimos knows of the trade, every value with where it comes from. */
export function Library() {
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-5 px-4 py-6 lg:px-6">
      <h1 className="text-3xl">Library</h1>
      <Parts of="the library" parts={PARTS} />
      <Outlet />
    </div>
  );
}
