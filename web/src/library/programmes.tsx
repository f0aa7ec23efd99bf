import { percent, plural } from '@gonimos/core/words';
import { useState } from 'react';
import { Link } from 'react-router';
import type { ProgrammeRow } from '@gonimos/contract/library';
import { container } from '@gonimos/core/containers';
import { operation } from '@gonimos/core/operations';
import type { After, Programme, ProgrammeStep } from '@gonimos/core/programmes';
import { QUESTIONS, type Question } from '@gonimos/core/schools';
import { useMay } from '../people/session';
import { Loading } from '../common/loading';
import { Sheet } from '../common/sheet';
import { useProgramme, useProgrammes } from './queries';
import { length } from '../common/units';

const titleOf = (s: ProgrammeStep) => s.title ?? operation(s.operation).name;

function waits(a: After, p: Programme): string {
  const before = p.steps.find((s) => s.key === a.step);
  const name = before ? `‘${titleOf(before)}’` : a.step;
  const lag = a.seasons
    ? `${plural(a.seasons, 'season')} after `
    : a.days
      ? `${a.days} days after `
      : a.warmth
        ? `${a.warmth === 'layer again' ? 'a second filling’s' : a.warmth.sum} degree days after `
        : 'after ';
  return `${lag}${name}${a.needs ? `, once ${a.needs}` : ''}`;
}

function Steps({ p }: { p: Programme }) {
  const questions = QUESTIONS as readonly Question[];
  const turns = (key: string) => p.cycles?.find((c) => c.steps.includes(key))?.times;
  return (
    <ol className="divide-y divide-base-300">
      {p.steps.map((s, i) => {
        const q = s.only && questions.find((x) => x.id === s.only!.question);
        return (
          <li key={s.key} className="flex gap-4 py-2.5">
            <span className="soft w-6 shrink-0 text-right">{i + 1}</span>
            <div>
              <p className="font-semibold">
                {titleOf(s)}
                {turns(s.key) && <span className="soft font-normal"> · {turns(s.key)} turns</span>}
              </p>
              <p className="soft text-sm">
                {[
                  s.container && `into ${container(s.container).name}`,
                  ...s.after.map((a) => waits(a, p)),
                  ...(s.conditions ?? []).map((c) =>
                    c.measure === 'fill'
                      ? `container ${percent(c.atLeast)} full`
                      : `${c.measure} ${length(c.atLeast)}`,
                  ),
                  s.rootLoss !== undefined && `takes ${percent(s.rootLoss)} of the root`,
                  q && `only under: ${s.only!.options.map((o) => q.options[o]).join(' or ')}`,
                ]
                  .filter(Boolean)
                  .join(' · ') || operation(s.operation).name}
              </p>
            </div>
          </li>
        );
      })}
    </ol>
  );
}

function ProgrammeSheet({ row, onClose }: { row: ProgrammeRow; onClose: () => void }) {
  const { data, error } = useProgramme(row.id);
  const may = useMay('grower');
  return (
    <Sheet title={row.name} sub={`${row.summary} · version ${row.version}`} onClose={onClose}>
      {!data ? (
        <Loading error={error} />
      ) : (
        <div className="grid gap-4">
          {may && (
            <div className="flex flex-wrap gap-3">
              {row.own && (
                <Link to={`/library/programmes/${row.id}`} className="btn btn-primary">
                  Change it
                </Link>
              )}
              <Link to={`/library/programmes/${row.id}?copy`} className="btn btn-outline">
                Make a copy of my own
              </Link>
            </div>
          )}
          <p className="soft text-sm">
            Order, lags and conditions: common practice, no source, unless they are yours.
          </p>
          <Steps p={data.programme} />
        </div>
      )}
    </Sheet>
  );
}

const METHOD_WORDS: Record<string, string> = {
  seed: 'From seed',
  cutting: 'From cuttings',
  layer: 'From air layers',
  bought: 'Bought in',
  lifted: 'Lifted',
};

export function Programmes() {
  const { data: rows, error } = useProgrammes();
  const [open, setOpen] = useState<ProgrammeRow | null>(null);
  if (!rows) return <Loading error={error} />;
  const groups: [string, ProgrammeRow[]][] = [
    ['Your own', rows.filter((r) => r.own)],
    ...Object.entries(METHOD_WORDS).map(([m, name]): [string, ProgrammeRow[]] => [
      name,
      rows.filter((r) => !r.own && r.method === m),
    ]),
  ];
  return (
    <div className="grid gap-7">
      {groups
        .filter(([, list]) => list.length > 0)
        .map(([name, list]) => (
          <section key={name}>
            <h2 className="mb-2 text-xl">{name}</h2>
            <ul className="grid gap-2.5 md:grid-cols-2">
              {list.map((r) => (
                <li key={r.id}>
                  <button
                    type="button"
                    className="card-plain flex h-full w-full cursor-pointer flex-col items-start p-4 text-left hover:border-primary"
                    onClick={() => setOpen(r)}
                  >
                    <span className="block font-head text-lg font-bold">{r.name}</span>
                    <span className="soft block">{r.summary}</span>
                    <span className="mt-1 block text-sm">
                      {r.steps} steps
                      {r.own && `, version ${r.version}`}
                      {r.cohorts > 0 && `, followed by ${plural(r.cohorts, 'cohort')}`}
                      {r.behind > 0 && (
                        <strong className="text-info">, {r.behind} on an older version</strong>
                      )}
                    </span>
                  </button>
                </li>
              ))}
            </ul>
          </section>
        ))}
      {open && <ProgrammeSheet row={open} onClose={() => setOpen(null)} />}
    </div>
  );
}
