import { NavLink, Outlet } from 'react-router';

const PARTS = [
  ['', 'Programmes'],
  ['operations', 'Operations'],
  ['taxa', 'Taxa'],
  ['schools', 'Schools'],
] as const;

/** What Gonimos knows of the trade, every value with where it comes from. */
export function Library() {
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-5 px-4 py-6 lg:px-6">
      <h1 className="text-3xl">Library</h1>
      <nav aria-label="Parts of the library" className="flex flex-wrap gap-1 border-b border-base-300">
        {PARTS.map(([to, name]) => (
          <NavLink
            key={to}
            to={to}
            end
            className={({ isActive }) =>
              `min-h-12 px-4 py-3 font-semibold ${isActive ? 'border-b-[3px] border-base-content' : 'soft'}`
            }
          >
            {name}
          </NavLink>
        ))}
      </nav>
      <Outlet />
    </div>
  );
}
