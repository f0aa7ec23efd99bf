import { Camera } from 'lucide-react';
import { shortDate } from '../common/dates';
import { Trouble } from '../common/field';
import { pictureUrl, useAddPicture, usePictures } from './queries';

/** Takes a picture or a file and keeps it with a cohort, and with a record when there is one. */
export function AddPicture({ cohortId, record }: { cohortId: string; record?: string }) {
  const add = useAddPicture(cohortId);
  return (
    <div className="grid gap-2">
      <label className="btn btn-outline btn-tall gap-2 justify-self-start focus-within:outline-2">
        <Camera size={20} />{' '}
        {add.isPending ? 'Keeping the picture …' : add.isSuccess ? 'Another picture' : 'Add a picture'}
        <input
          type="file"
          accept="image/*"
          className="sr-only"
          disabled={add.isPending}
          onChange={(e) => {
            const file = e.target.files?.[0];
            if (file) add.mutate({ file, ...(record ? { record } : {}) });
            e.target.value = '';
          }}
        />
      </label>
      {add.isSuccess && <p role="status">Picture kept.</p>}
      {add.error && <Trouble>{add.error.message}</Trouble>}
    </div>
  );
}

/** Pictures of a cohort, newest first. */
export function Pictures({ cohortId, today }: { cohortId: string; today: string }) {
  const pictures = usePictures(cohortId).data ?? [];
  return (
    <section className="grid gap-3">
      <h2 className="text-xl">Pictures</h2>
      {pictures.length === 0 && (
        <p className="soft">None yet. One a year from the same side shows what no number does.</p>
      )}
      <ul className="flex flex-wrap gap-3 empty:hidden">
        {pictures.map((p) => (
          <li key={p.id}>
            <a href={pictureUrl(p.id)} target="_blank" rel="noreferrer" className="block">
              <img
                src={pictureUrl(p.id, 'thumb')}
                alt={`Taken ${shortDate(p.on, today)} by ${p.by}`}
                className="h-32 rounded-box border border-base-300 object-cover"
                loading="lazy"
              />
              <span className="soft text-sm">{shortDate(p.on, today)}</span>
            </a>
          </li>
        ))}
      </ul>
      <AddPicture cohortId={cohortId} />
    </section>
  );
}
