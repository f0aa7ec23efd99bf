import { Trouble } from './field';

/** While a page's data is on its way, or when it did not come. */
export const Loading = ({ error }: { error: Error | null }) => (
  <div className="p-6">
    {error ? <Trouble>{error.message}</Trouble> : <p className="soft">One moment …</p>}
  </div>
);
