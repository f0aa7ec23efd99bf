import type { BedRoom } from '@gonimos/contract/beds';

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sept', 'Oct', 'Nov', 'Dec'];
/** Share of the room from which on a bench holds more than fits. */
export const FULL = 1;
export const monthName = (month: string) => MONTHS[Number(month.slice(5)) - 1];

/** How full a bench will be, month by month: a bar each, a line where it is full. */
export function Months({ bed }: { bed: BedRoom }) {
  const most = Math.max(1.2, ...bed.months.map((m) => m.share ?? 0));
  return (
    <ol className="grid grid-cols-12 items-end gap-px" aria-label={`${bed.name}, room by month`}>
      {bed.months.map((m) => {
        const share = m.share ?? 0;
        const over = share > FULL;
        return (
          <li key={m.month} className="grid gap-0.5 text-center text-xs">
            <span className={over ? 'font-bold text-accent' : 'soft'}>{Math.round(share * 100)}</span>
            <span className="relative flex h-10 items-end" aria-hidden>
              <span
                className="absolute inset-x-0 border-t border-dashed border-base-content/50"
                style={{ bottom: `${100 / most}%` }}
              />
              <span
                className={`w-full ${over ? 'bg-accent' : 'bg-[var(--celadon-deep)]'}`}
                style={{ height: `${(100 * share) / most}%` }}
              />
            </span>
            <span className="soft">{monthName(m.month)}</span>
          </li>
        );
      })}
    </ol>
  );
}
