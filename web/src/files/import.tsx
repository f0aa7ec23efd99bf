import { plural } from '@gonimos/core/words';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { Link } from 'react-router';
import { CSV_IN, type ImportReport } from '@gonimos/contract/files';
import { call, newId } from '../common/api';
import { Trouble } from '../common/field';
import { readAgain } from '../common/read-again';
import { sendOnce } from '../common/write';

const EXAMPLE = `${CSV_IN.join(',')}
FM-37,Acer campestre,"Seed-raised broadleaf, in baskets",Cold frame,seed flat 40 × 30 cm,spring 2036,150,40,from the long hedge`;

/** Lines sent at a time: a part is entered whole or not at all, and between parts it can be stopped. */
const PART = 100;

/** Looks through a file: every line with its faults, nothing written. */
const useCheck = () =>
  useMutation({
    mutationFn: ({ importId, csv }: { importId: string; csv: string }) =>
      call<ImportReport>('POST', '/files/cohorts', { id: newId(), importId, csv, confirm: false }),
  });

/** Enters the good lines of a file part by part, telling how far it is; what was entered stays when it is stopped. */
function useEnter() {
  const client = useQueryClient();
  const [done, setDone] = useState(0);
  const stopped = useRef(false);
  const enter = useMutation({
    mutationFn: async ({ importId, csv, last }: { importId: string; csv: string; last: number }) => {
      stopped.current = false;
      setDone(0);
      const all: ImportReport = { lines: [], good: 0, bad: 0, written: 0, faults: [] };
      for (let from = 2; from <= last && !stopped.current; from += PART) {
        const part = { importId, csv, confirm: true, from, to: from + PART - 1 };
        const told = await sendOnce(`import ${importId} ${from}`, part, (body, id) =>
          call<ImportReport>('POST', '/files/cohorts', { ...body, id }),
        );
        all.lines.push(...told.lines);
        for (const n of ['good', 'bad', 'written'] as const) all[n] += told[n];
        setDone(Math.min(last - 1, from + PART - 2));
      }
      return all;
    },
    onSettled: () => readAgain(client),
  });
  return { enter, done, stop: () => (stopped.current = true) };
}

/** Every line of a file: what it would be, or what is wrong with it. */
function Lines({ lines }: { lines: ImportReport['lines'] }) {
  return (
    <div
      className="card-plain relative overflow-x-auto"
      tabIndex={0}
      role="region"
      aria-label="Lines of the file"
    >
      <table className="w-full">
        <thead>
          <tr className="soft border-b border-base-300 text-left">
            <th scope="col" className="px-4 py-2 font-semibold">
              Line
            </th>
            <th scope="col" className="px-3 font-semibold">
              Code
            </th>
            <th scope="col" className="px-3 font-semibold">
              What
            </th>
          </tr>
        </thead>
        <tbody className="divide-y divide-base-300">
          {lines.map((l) => (
            <tr key={l.line}>
              <td className="px-4 py-2">{l.line}</td>
              <td className="px-3 font-semibold">{l.code}</td>
              <td className="px-3">
                {l.ok ? (
                  l.summary
                ) : (
                  <ul className="text-error">
                    {l.faults.map((f, i) => (
                      <li key={i}>
                        <strong>{f.field}</strong> {f.reason}
                      </li>
                    ))}
                  </ul>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** New cohorts from a spreadsheet: first every line with its faults, then, once confirmed, the good ones. */
export function Import() {
  const [csv, setCsv] = useState('');
  const id = useRef(newId());
  const check = useCheck();
  const { enter: write, done, stop } = useEnter();
  const report = write.data ?? check.data;
  const read = (text: string) => {
    setCsv(text);
    id.current = newId();
    write.reset();
    if (text.trim() === '') check.reset();
    else check.mutate({ importId: id.current, csv: text });
  };
  const error = write.error ?? check.error;
  return (
    <div className="grid max-w-5xl grid-cols-[minmax(0,1fr)] gap-5 px-4 py-6 lg:px-6">
      <header>
        <h1 className="text-3xl">Cohorts from CSV</h1>
        <p className="soft mt-1 max-w-prose">
          One cohort a line. Taxon, programme, place and container go by their names here. Nothing is written
          before you have seen every line.
        </p>
      </header>
      <div className="flex flex-wrap gap-3">
        <label className="btn btn-outline">
          Choose a file
          <input
            type="file"
            accept=".csv,text/csv"
            className="sr-only"
            onChange={(e) => void e.target.files?.[0]?.text().then(read)}
          />
        </label>
        <button type="button" className="btn btn-ghost border border-base-300" onClick={() => read(EXAMPLE)}>
          Show an example
        </button>
      </div>
      <div>
        <label htmlFor="csv" className="mb-1 block font-semibold">
          Or paste it
        </label>
        <textarea
          id="csv"
          className="textarea w-full font-mono text-sm"
          rows={6}
          value={csv}
          spellCheck={false}
          onChange={(e) => read(e.target.value)}
        />
      </div>
      {error && <Trouble>{error.message}</Trouble>}
      {report?.faults.map((f) => (
        <Trouble key={f}>{f}</Trouble>
      ))}
      {report && report.lines.length > 0 && (
        <section className="grid gap-3" aria-live="polite">
          <h2 className="text-xl">
            {write.data
              ? `${plural(write.data.written, 'cohort')} entered`
              : `${report.good} good, ${report.bad} with faults`}
          </h2>
          <Lines lines={report.lines} />
          {write.data ? (
            <Link to="/cohorts" className="btn btn-primary btn-tall justify-self-start">
              To the cohorts
            </Link>
          ) : (
            <button
              type="button"
              className="btn btn-primary btn-tall justify-self-start"
              disabled={report.good === 0 || write.isPending}
              onClick={() => write.mutate({ importId: id.current, csv, last: report.lines.at(-1)!.line })}
            >
              {write.isPending
                ? `Entering … ${done} of ${report.lines.length} lines`
                : `Enter the ${plural(report.good, 'good line')}`}
            </button>
          )}
          {write.isPending && report.lines.length > PART && (
            <div className="flex flex-wrap items-center gap-4">
              <progress
                className="progress w-64"
                max={report.lines.length}
                value={done}
                aria-label="Lines entered"
              />
              <button type="button" className="btn btn-outline" onClick={stop}>
                Stop after this part
              </button>
            </div>
          )}
        </section>
      )}
    </div>
  );
}
