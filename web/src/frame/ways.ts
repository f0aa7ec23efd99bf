import {
  BookOpen,
  CalendarDays,
  ChartColumn,
  Home,
  Leaf,
  LayoutGrid,
  ListTree,
  Shovel,
  Sprout,
  type LucideIcon,
} from 'lucide-react';

/** A way through the work: where it leads and the key that goes there after "g". */
export interface Way {
  to: string;
  name: string;
  key: string;
  icon: LucideIcon;
}

export const WAYS: readonly Way[] = [
  { to: '/', name: 'Round', key: 'r', icon: Leaf },
  { to: '/year', name: 'Year', key: 'y', icon: ChartColumn },
  { to: '/cohorts', name: 'Cohorts', key: 'c', icon: ListTree },
  { to: '/propagation', name: 'Start', key: 's', icon: Sprout },
  { to: '/shed', name: 'Shed', key: 'p', icon: Shovel },
  { to: '/benches', name: 'Benches', key: 'b', icon: LayoutGrid },
  { to: '/season', name: 'Season', key: 'e', icon: CalendarDays },
  { to: '/library', name: 'Library', key: 'l', icon: BookOpen },
  { to: '/nursery', name: 'Nursery', key: 'n', icon: Home },
];
