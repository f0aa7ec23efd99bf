import { Sheet } from '../common/sheet';
import { WAYS } from './ways';

const ROUND: [keys: string, does: string][] = [
  ['j', 'the next step'],
  ['k', 'the step before'],
  ['a', 'all of it done, nothing lost'],
  ['r', 'record it'],
  ['n', 'not yet'],
  ['f', 'found something'],
  ['w', 'why this date'],
  ['o', 'open its cohort'],
  ['x', 'choose it, to record several at once'],
  ['i', 'I see something of the season'],
];
const ANYWHERE: [keys: string, does: string][] = [
  ['/', 'find a cohort, a page or something to do'],
  ...WAYS.map((w): [string, string] => [`g ${w.key}`, w.name]),
  ['?', 'these keys'],
  ['Esc', 'put a sheet away'],
];

function List({ title, keys }: { title: string; keys: readonly [string, string][] }) {
  return (
    <section>
      <h3 className="mb-2 text-lg">{title}</h3>
      <dl className="grid grid-cols-[4rem_1fr] gap-y-1.5">
        {keys.map(([key, does]) => (
          <div key={key} className="contents">
            <dt>
              <kbd className="kbd">{key}</kbd>
            </dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

export function KeysSheet({ onClose }: { onClose: () => void }) {
  return (
    <Sheet title="Keys" onClose={onClose}>
      <div className="grid gap-6">
        <List title="On the round" keys={ROUND} />
        <List title="Anywhere" keys={ANYWHERE} />
      </div>
    </Sheet>
  );
}
