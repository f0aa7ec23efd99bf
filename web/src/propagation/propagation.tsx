import { Outlet } from 'react-router';
import { Parts } from '../common/parts';

const PARTS = [
  ['', 'Start numbers'],
  ['seed', 'Seed'],
  ['layers', 'Layers'],
  ['compare', 'Compare'],
] as const;

/** How many to start, when, how it went. */
export function Propagation() {
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-5 px-4 py-6 lg:px-6">
      <h1 className="text-3xl">Propagation</h1>
      <Parts of="propagation" parts={PARTS} />
      <Outlet />
    </div>
  );
}
