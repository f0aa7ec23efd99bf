import { useState } from 'react';
import type { MixBatch, Mixes } from '@gonimos/contract/mixes';
import { component } from '@gonimos/core/mixes';
import { shortDate } from '../common/dates';
import { Trouble } from '../common/field';
import { volume } from '../common/units';
import { useWithdrawBatch } from './queries';

interface RowProps {
  batch: MixBatch;
  name: string;
  today: string;
}

function Row({ batch, name, today }: RowProps) {
  const back = useWithdrawBatch();
  const [open, setOpen] = useState(false);
  const whole = batch.left >= batch.litres;
  return (
    <li className="border-b border-base-300 py-2">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <button
          type="button"
          className="min-h-11 flex-1 text-left"
          aria-expanded={open}
          onClick={() => setOpen(!open)}
        >
          <strong>{volume(batch.left)}</strong> of {name}
          <span className="soft block text-sm">
            {volume(batch.litres)} made {shortDate(batch.madeOn, today)}
            {batch.by && ` by ${batch.by}`}
          </span>
        </button>
        {whole && (
          <button
            type="button"
            className="btn btn-ghost border border-base-300"
            disabled={back.isPending}
            onClick={() => back.mutate({ batchId: batch.id })}
          >
            Take back<span className="sr-only"> the batch of {name}</span>
          </button>
        )}
      </div>
      {open && (
        <p className="soft text-sm">
          From the bags:{' '}
          {batch.parts.map((p) => `${volume(p.litres)} ${component(p.component).name}`).join(', ')}.
          {batch.note && ` ${batch.note}.`}
        </p>
      )}
      {back.error && <Trouble>{back.error.message}</Trouble>}
    </li>
  );
}

/** Mix that was made ahead and stands ready. */
export function Made({ mixes, today }: { mixes: Mixes; today: string }) {
  if (mixes.batches.length === 0) return null;
  return (
    <section aria-label="Ready mixed" className="grid content-start gap-2">
      <h3 className="text-lg">Ready mixed</h3>
      <ul className="border-t border-base-300">
        {mixes.batches.map((b) => (
          <Row
            key={b.id}
            batch={b}
            name={mixes.mixes.find((m) => m.id === b.mix)?.name ?? b.mix}
            today={today}
          />
        ))}
      </ul>
    </section>
  );
}
