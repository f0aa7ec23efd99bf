import { LAYER_FINDS } from '@gonimos/core/layers';
import { FIND_WORDS } from './words';

/** What a look under the film may show; nothing is said before somebody has looked. */
export const FindOptions = () => (
  <>
    <option value="">choose what it shows …</option>
    {LAYER_FINDS.map((f) => (
      <option key={f} value={f}>
        {FIND_WORDS[f]}
      </option>
    ))}
  </>
);

/** What speaks against opening or severing what was found; null for nothing. */
export function findSpeaks(found: string): string | null {
  if (found === '' || found === 'full') return null;
  return found === 'short-brittle'
    ? 'Roots short and brittle break: wrap it again and wait, if frost leaves the time.'
    : 'It is not full: wrapped again it fills on; taken now it lives by few roots.';
}
