import { NavLink } from 'react-router';

/** The parts of a place, as a row of links under its head. */
export const Parts = ({
  of,
  parts,
}: {
  of: string;
  parts: readonly (readonly [to: string, name: string])[];
}) => (
  <nav aria-label={`Parts of ${of}`} className="no-print flex gap-1 overflow-x-auto border-b border-base-300">
    {parts.map(([to, name]) => (
      <NavLink
        key={to}
        to={to}
        end={to === ''}
        className={({ isActive }) =>
          `min-h-12 shrink-0 px-3 py-3 font-semibold sm:px-4 ${isActive ? 'border-b-[3px] border-base-content' : 'soft'}`
        }
      >
        {name}
      </NavLink>
    ))}
  </nav>
);
