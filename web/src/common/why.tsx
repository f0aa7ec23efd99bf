import { RULE_WORDS, type Reason } from '@gonimos/core/course';
import { isIsoDate } from '@gonimos/core/calendar';
import { readable, shortDate } from './dates';
import { Sheet } from './sheet';
import { figure } from './units';

/** The rules behind a date, the numbers they used and where those come from. */
export function Why({
  title,
  reasons,
  today,
  onClose,
}: {
  title: string;
  reasons: Reason[];
  today: string;
  onClose: () => void;
}) {
  return (
    <Sheet title="Why this date" sub={title} onClose={onClose}>
      <ul className="space-y-5">
        {reasons.map((r, i) => (
          <li key={i} className={`border-l-4 pl-4 ${r.binding ? 'border-primary' : 'border-base-300'}`}>
            <h3 className="text-base">
              {RULE_WORDS[r.rule].words}
              {r.binding && <span className="ml-2 text-sm font-semibold text-primary">decides</span>}
            </h3>
            <p className="mt-1">{readable(r.text, today)}</p>
            {r.figures.length > 0 && (
              <table className="mt-2 w-full table-fixed text-sm">
                <tbody>
                  {r.figures.map((f, j) => (
                    <tr key={j} className="border-t border-base-300 align-top">
                      <th scope="row" className="soft w-[40%] py-1 pr-3 text-left font-normal">
                        {f.label}
                      </th>
                      <td className="w-[27%] py-1 pr-3 text-right font-semibold">
                        {isIsoDate(f.value)
                          ? shortDate(f.value, today)
                          : figure(f.value, f.unit.length < 16 ? f.unit : '')}
                      </td>
                      <td className="soft py-1 text-right">
                        {f.unit.length >= 16 && <span className="block">{f.unit}</span>}
                        {f.basis}
                        {f.source && <span className="block">{f.source}</span>}
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            )}
            {r.binding && (
              <p className="soft mt-2 text-sm">What would change it: {RULE_WORDS[r.rule].wouldChange}</p>
            )}
          </li>
        ))}
      </ul>
    </Sheet>
  );
}
