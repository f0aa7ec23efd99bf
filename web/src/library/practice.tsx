import { NavLink, Outlet } from 'react-router';

const PARTS = [
  ['/library/practice', 'Roots'],
  ['/library/practice/trunks', 'Trunks'],
] as const;

/** What can be tried without touching a record. */
export function Practice() {
  return (
    <div className="grid gap-5">
      <nav aria-label="Practice" className="flex flex-wrap gap-2">
        {PARTS.map(([to, name]) => (
          <NavLink
            key={to}
            to={to}
            end
            className={({ isActive }) =>
              `btn ${isActive ? 'btn-neutral' : 'border border-base-300 bg-base-100'}`
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
