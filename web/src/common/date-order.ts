import type { DateOrder } from './read-day';

const KEPT = 'date order';
/** Words are also made where there is no browser. */
const inBrowser = typeof window !== 'undefined';

/** How this person writes days: as chosen on this device, else as its language does. */
export function dateOrder(): DateOrder {
  if (!inBrowser) return 'day first';
  const kept = localStorage.getItem(KEPT) as DateOrder | null;
  return kept ?? (navigator.language === 'en-US' ? 'month first' : 'day first');
}

/** Keeps another order; every date that is shown is written anew. */
export function keepDateOrder(order: DateOrder): void {
  localStorage.setItem(KEPT, order);
  window.location.reload();
}
