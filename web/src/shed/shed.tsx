import { Outlet } from 'react-router';
import { Parts } from '../common/parts';

const PARTS = [
  ['', 'Mixes'],
  ['pots', 'Pots'],
  ['fit', 'Which pot'],
  ['paper', 'On paper'],
] as const;

/** What is potted into what: mixes and their bins, containers and their shelf. */
export function Shed() {
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-5 px-4 py-6 lg:px-6">
      <h1 className="text-3xl">Potting shed</h1>
      <Parts of="the potting shed" parts={PARTS} />
      <Outlet />
    </div>
  );
}
