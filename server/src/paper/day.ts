import { toDay, type IsoDate } from '@gonimos/core/calendar';
import type { UnitSystem } from '@gonimos/core/units';

const LOCALE: Record<UnitSystem, string> = { metric: 'en-GB', US: 'en-US' };

/** A day as paper says it: “27 Nov 2026”. */
export const dayInWords = (iso: IsoDate, units: UnitSystem): string =>
  new Intl.DateTimeFormat(LOCALE[units], {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    timeZone: 'UTC',
  }).format(toDay(iso) * 86_400_000);
