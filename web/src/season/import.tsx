import { plural } from '@gonimos/core/words';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import type { ImportWeather, WeatherReport } from '@gonimos/contract/season';
import { call, newId } from '../common/api';
import { shortDate } from '../common/dates';
import { Trouble } from '../common/field';
import { useWrite, type Unsent } from '../common/write';

const send = (b: Unsent<ImportWeather>, id: string) =>
  call<WeatherReport>('POST', '/weather/import', { ...b, id });

/** A daily record from a file: every fault by line first, written once confirmed. */
export function ImportRecord({ today }: { today: string }) {
  const [csv, setCsv] = useState('');
  const check = useMutation({ mutationFn: (b: Unsent<ImportWeather>) => send(b, newId()) });
  const write = useWrite(send);
  const read = (text: string) => {
    setCsv(text);
    write.reset();
    check.mutate({ csv: text, confirm: false });
  };
  const report = write.data ?? check.data;
  const error = write.error ?? check.error;
  return (
    <section className="grid gap-3">
      <header>
        <h2 className="text-xl">Weather record from a file</h2>
        <p className="soft max-w-prose">
          CSV with the columns date, tmin, tmax in °C; other columns are passed over. Days on record are
          replaced.
        </p>
      </header>
      <label className="btn btn-outline justify-self-start focus-within:outline-2">
        Choose a file
        <input
          type="file"
          accept=".csv,text/csv"
          className="sr-only"
          onChange={(e) => {
            void e.target.files?.[0]?.text().then(read);
            e.target.value = '';
          }}
        />
      </label>
      {error && <Trouble>{error.message}</Trouble>}
      {report && (
        <div className="card-plain grid gap-3 p-4" aria-live="polite">
          <p>
            <strong>{plural(report.days, 'good day')}</strong>
            {report.from &&
              report.to &&
              `, ${shortDate(report.from, today)} to ${shortDate(report.to, today)}`}
            {report.replaced > 0 &&
              `; ${report.replaced} ${report.replaced === 1 ? 'says something else than the record and replaces' : 'say something else than the record and replace'} it`}
          </p>
          {report.faults.length > 0 && (
            <ul className="max-h-52 overflow-y-auto text-sm">
              {report.faults.map((f, i) => (
                <li key={i}>
                  line {f.line}: <strong>{f.field}</strong> {f.reason}
                </li>
              ))}
            </ul>
          )}
          {write.data ? (
            <p role="status">{write.data.written} days are in the record; every course was planned again.</p>
          ) : (
            <button
              type="button"
              className="btn btn-primary justify-self-start"
              disabled={report.days === 0 || write.isPending}
              onClick={() => write.mutate({ csv, confirm: true })}
            >
              {write.isPending ? 'Planning every course again …' : `Take in ${report.days} days`}
            </button>
          )}
        </div>
      )}
    </section>
  );
}
