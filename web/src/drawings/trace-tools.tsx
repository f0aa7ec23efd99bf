import { shortDate } from '../common/dates';
import { usePictures, pictureUrl } from '../pictures/queries';
import { laid, type Spot, type Trace } from './trace';

interface Props {
  cohortId: string;
  today: string;
  /** the picture lies so far around a middle until it is placed, mm */
  reach: number;
  middle?: Spot;
  /** what is to be tapped */
  taps: string;
  trace: Trace | null;
  /** taps wait to place the picture */
  placing: boolean;
  set: (t: Trace | null) => void;
  setPlacing: (on: boolean) => void;
}

/** A picture of the cohort behind the drawing, placed by two taps. */
export function TraceTools({ cohortId, today, reach, middle, taps, trace, placing, set, setPlacing }: Props) {
  const pictures = usePictures(cohortId).data ?? [];
  if (pictures.length === 0) return null;
  const choose = (id: string) => {
    const p = pictures.find((x) => x.id === id);
    set(p ? laid(pictureUrl(p.id), p.height / p.width, reach, middle) : null);
    setPlacing(p !== undefined);
  };
  return (
    <div className="no-print flex flex-wrap items-center gap-3">
      <select
        aria-label="Picture behind the drawing"
        className="select w-auto"
        value={pictures.find((p) => pictureUrl(p.id) === trace?.url)?.id ?? ''}
        onChange={(e) => choose(e.target.value)}
      >
        <option value="">no picture behind</option>
        {pictures.map((p) => (
          <option key={p.id} value={p.id}>
            picture of {shortDate(p.on, today)}
          </option>
        ))}
      </select>
      {trace && !placing && (
        <button type="button" className="btn btn-sm" onClick={() => setPlacing(true)}>
          Place it again
        </button>
      )}
      {placing && (
        <p role="status" className="font-semibold">
          {taps}
        </p>
      )}
    </div>
  );
}
