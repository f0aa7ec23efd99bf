import { useLocation, useNavigate, useSearchParams } from 'react-router';
import { usePlaceChoice } from '../season/place-choice';

/** Pages whose list is narrowed by a bed; the season shows the year of one. */
const NARROWED = new Set(['/', '/cohorts']);

/** The bed the page is narrowed to, and what choosing one does here. */
export function useBedChoice(): [bed: string | null, choose: (id: string) => void] {
  const { pathname } = useLocation();
  const [search, setSearch] = useSearchParams();
  const [place, choosePlace] = usePlaceChoice();
  const go = useNavigate();
  if (pathname === '/season') return [place ?? null, choosePlace];
  if (!NARROWED.has(pathname)) return [null, (id) => void go(`/?place=${id}`)];
  const bed = search.get('place');
  const choose = (id: string) => {
    const next = new URLSearchParams(search);
    if (bed === id) next.delete('place');
    else next.set('place', id);
    setSearch(next, { replace: true });
  };
  return [bed, choose];
}
