import { NavLink } from 'react-router';

/** The parts of a place, as a row of links under its head. */
export const Parts = ({
  of,
  parts,
}: {
  of: string;
  parts: readonly (readonly [to: string, name: string])[];
}) => (
  <nav
    aria-label={`Parts of ${of}`}
    className="no-print flex overflow-x-auto border-b border-base-300 sm:gap-1"
  >
    {parts.map(([to, name]) => (
      <NavLink
        key={to}
        to={to}
        end={to === ''}
        className={({ isActive }) =>
          `min-h-12 shrink-0 grow px-0.5 py-3 text-center text-[0.82rem] font-semibold sm:grow-0 sm:px-4 sm:text-base ${isActive ? 'border-b-[3px] border-base-content' : 'soft'}`
        }
      >
        {name}
      </NavLink>
    ))}
  </nav>
);
