import { Printer } from 'lucide-react';
import { useState } from 'react';
import { PRINTER_PATH } from '@gonimos/contract/label-printer';
import { LABEL_PAPERS, type LabelPaper } from '@gonimos/core/labels';
import { PAPER_OF } from '@gonimos/core/paper';
import { plural } from '@gonimos/core/words';
import { useRegister } from '../cohorts/queries';
import { Field, Trouble } from '../common/field';
import { Loading } from '../common/loading';
import { NumberInput } from '../common/number-input';
import { unitSystem } from '../common/units';
import { PlaceOptions } from '../nursery/place-options';
import { useNursery } from '../nursery/queries';
import { useHands, usePrinted, usePrintLabels } from './queries';

const PAPER_WORDS: Record<LabelPaper, string> = {
  A4: 'sheets of A4, to be cut',
  Letter: 'sheets of Letter, to be cut',
  roll: 'roll of a label printer',
};
/** Labels that are printed at once. */
const MOST = 400;
/** Pictures of labels that are shown. */
const SHOWN = 6;

interface PlaceFieldProps {
  label: string;
  value: string;
  onChange: (place: string) => void;
}

const PlaceField = ({ label, value, onChange }: PlaceFieldProps) => (
  <Field label={label} className="w-56">
    <select className="select" value={value} onChange={(e) => onChange(e.target.value)}>
      <option value="">all places</option>
      <PlaceOptions />
    </select>
  </Field>
);

interface OpenProps {
  href: string;
  children: string;
}

/** A PDF in a window of its own. */
const OpenPdf = ({ href, children }: OpenProps) => (
  <a className="btn btn-primary btn-tall gap-2" href={href} target="_blank" rel="noreferrer">
    <Printer size={18} aria-hidden /> {children}
  </a>
);

/** The day shared out: who works, and a sheet for each. */
function Shares({ place }: { place: string }) {
  const people = useHands().data ?? [];
  const [working, setWorking] = useState<readonly string[]>([]);
  const flip = (id: string) =>
    setWorking(working.includes(id) ? working.filter((x) => x !== id) : [...working, id]);
  const query = (person: string) =>
    new URLSearchParams({ person, among: working.join('|'), ...(place ? { place } : {}) }).toString();
  return (
    <fieldset className="grid gap-2">
      <legend className="font-semibold">Or shared out among</legend>
      <div className="flex flex-wrap gap-2">
        {people.map((p) => (
          <button
            key={p.id}
            type="button"
            className={`btn ${working.includes(p.id) ? 'btn-active' : 'btn-outline'}`}
            aria-pressed={working.includes(p.id)}
            onClick={() => flip(p.id)}
          >
            {p.name}
          </button>
        ))}
      </div>
      {working.length > 1 && (
        <div className="flex flex-wrap gap-2">
          {people
            .filter((p) => working.includes(p.id))
            .map((p) => (
              <OpenPdf key={p.id} href={`/api/round/sheet?${query(p.id)}`}>{`Sheet of ${p.name}`}</OpenPdf>
            ))}
        </div>
      )}
    </fieldset>
  );
}

function DaySheet() {
  const [place, setPlace] = useState('');
  return (
    <section className="grid content-start gap-3" aria-label="The day">
      <h2 className="text-xl">The day</h2>
      <p className="soft max-w-prose">
        Every open step in the order of the places, for all, for one place, or shared out: what to carry, the
        pot prepared first, how much root goes, cautions, and boxes for what was found. What comes back is
        typed in on the round under Several.
      </p>
      <div className="flex flex-wrap items-end gap-3">
        <PlaceField label="Of" value={place} onChange={setPlace} />
        <OpenPdf href={`/api/round/sheet${place ? `?place=${place}` : ''}`}>Bench sheet</OpenPdf>
      </div>
      <Shares place={place} />
    </section>
  );
}

/** Labels of what stands at a place, on paper or sent to the printer. */
function Labels() {
  const { data, error } = useRegister();
  const print = usePrintLabels();
  const [place, setPlace] = useState('');
  const [paper, setPaper] = useState<LabelPaper>(PAPER_OF[unitSystem()]);
  const [copies, setCopies] = useState(1);
  if (!data) return <Loading error={error} />;
  const all = data.filter((c) => c.growing && (!place || c.placeId === place));
  const cohorts = all.slice(0, MOST).map((c) => c.id);
  const bad = copies >= 1 && copies <= 20 && Number.isInteger(copies) ? undefined : 'is not from 1 to 20';
  return (
    <section className="grid content-start gap-3" aria-label="Labels">
      <h2 className="text-xl">Labels</h2>
      <p className="soft max-w-prose">
        Code, kind, how and when it began, and squares that a phone’s camera opens the cohort with. Print them
        on something that stands rain.
      </p>
      <div className="flex flex-wrap items-end gap-3">
        <PlaceField label="Of cohorts at" value={place} onChange={setPlace} />
        <Field label="On" className="w-60">
          <select className="select" value={paper} onChange={(e) => setPaper(e.target.value as LabelPaper)}>
            {LABEL_PAPERS.map((p) => (
              <option key={p} value={p}>
                {PAPER_WORDS[p]}
              </option>
            ))}
          </select>
        </Field>
        {cohorts.length > 0 && (
          <OpenPdf href={`/api/labels?paper=${paper}&cohorts=${cohorts.join(',')}`}>
            {plural(cohorts.length, 'label')}
          </OpenPdf>
        )}
      </div>
      {all.length > MOST && (
        <p>
          The first {MOST} of {all.length}: choose a place for fewer.
        </p>
      )}
      <div className="flex flex-wrap items-end gap-3">
        <Field label="Copies" className="w-28" error={bad}>
          <NumberInput value={copies} onChange={setCopies} />
        </Field>
        <button
          type="button"
          className="btn btn-outline btn-tall"
          disabled={print.isPending || bad !== undefined || cohorts.length === 0}
          onClick={() => print.mutate({ cohorts, copies })}
        >
          {print.isPending ? 'Sending …' : `Send ${cohorts.length * (bad ? 1 : copies)} to the label printer`}
        </button>
      </div>
      {print.error && <Trouble>{print.error.message}</Trouble>}
      {print.data && <p role="status">{plural(print.data.printed, 'label')} printed.</p>}
    </section>
  );
}

/** What the simulated printer of the demo has printed, the last first. */
function Printed() {
  const { data } = usePrinted();
  if (!data || data.kept.length === 0) return null;
  return (
    <section className="grid content-start gap-3" aria-label="Printed">
      <h2 className="text-xl">Printed so far</h2>
      <p className="soft">By the demo’s own label printer: {plural(data.printed, 'label')}.</p>
      <ul className="grid gap-3 sm:grid-cols-2 xl:grid-cols-3">
        {data.kept
          .slice(-SHOWN)
          .toReversed()
          .map((n) => (
            <li key={n}>
              <img
                className="w-full border border-base-300"
                src={`${PRINTER_PATH}/${n}`}
                alt={`Label ${n}`}
              />
            </li>
          ))}
      </ul>
    </section>
  );
}

/** What goes out on paper: the day, and labels. */
export function PaperPart() {
  const demo = useNursery().data?.demo;
  return (
    <div className="grid gap-9">
      <DaySheet />
      <Labels />
      {demo && <Printed />}
    </div>
  );
}
