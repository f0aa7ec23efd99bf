import { useState } from 'react';
import type { SessionRow } from '@gonimos/contract/people';
import { faultsIn } from '../common/check';
import { momentOf } from '../common/dates';
import { Field, Trouble } from '../common/field';
import { Sheet } from '../common/sheet';
import { useChangePassword, useEndSession, useSessions } from './queries';
import { useSession } from './session';

/** The browser and the machine of a session, as far as it says; nobody reads the whole of what it sends. */
function machine(agent: string): string {
  const browser = /Firefox|Edg|OPR|Chrome|Safari/
    .exec(agent)?.[0]
    .replace('Edg', 'Edge')
    .replace('OPR', 'Opera');
  const on = /Android|iPhone|iPad|Windows|Mac OS|Linux/.exec(agent)?.[0];
  return [browser, on].filter(Boolean).join(', ') || 'a browser that does not say what it is';
}

function PasswordSheet({ onClose }: { onClose: () => void }) {
  const change = useChangePassword();
  const [v, set] = useState({ current: '', password: '' });
  const faults = faultsIn(change.error);
  return (
    <Sheet title="Your password" sub="You are signed out everywhere else." onClose={onClose}>
      <form
        className="grid gap-4"
        noValidate
        onSubmit={(e) => {
          e.preventDefault();
          change.mutate(v, { onSuccess: onClose });
        }}
      >
        {change.error && Object.keys(faults).length === 0 && <Trouble>{change.error.message}</Trouble>}
        <Field label="Password you have" error={faults.current}>
          <input
            className="input"
            type="password"
            autoComplete="current-password"
            value={v.current}
            onChange={(e) => set({ ...v, current: e.target.value })}
          />
        </Field>
        <Field label="New password" hint="ten letters or more" error={faults.password}>
          <input
            className="input"
            type="password"
            autoComplete="new-password"
            value={v.password}
            onChange={(e) => set({ ...v, password: e.target.value })}
          />
        </Field>
        <button className="btn btn-primary btn-tall" disabled={change.isPending || v.password === ''}>
          Change it
        </button>
      </form>
    </Sheet>
  );
}

function Line({ session, mine }: { session: SessionRow; mine: boolean }) {
  const end = useEndSession();
  return (
    <li className="flex flex-wrap items-center gap-3 px-4 py-2">
      <p className="min-w-40 grow">
        <strong>{mine ? 'You' : session.name}</strong>, {machine(session.agent)}
        <span className="soft block text-sm">
          since {momentOf(session.since)}, last seen {momentOf(session.seen)}
        </span>
      </p>
      {session.own ? (
        <span className="soft">this one</span>
      ) : (
        <button
          type="button"
          className="btn btn-outline"
          disabled={end.isPending}
          onClick={() => end.mutate(session.hash)}
        >
          Sign out
        </button>
      )}
    </li>
  );
}

/** One's own password, and where one is signed in; owners see everyone's. */
export function Account() {
  const { person, demo } = useSession().data ?? {};
  const sessions = useSessions().data ?? [];
  const [changing, setChanging] = useState(false);
  return (
    <section className="grid gap-3">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h2 className="text-xl">Signed in</h2>
        {!demo && (
          <button type="button" className="btn btn-outline" onClick={() => setChanging(true)}>
            Change your password
          </button>
        )}
      </div>
      <ul className="card-plain divide-y divide-base-300">
        {sessions.map((s) => (
          <Line key={s.hash} session={s} mine={s.name === person?.name} />
        ))}
      </ul>
      <p className="soft text-sm">A session nobody uses for three days is over.</p>
      {changing && <PasswordSheet onClose={() => setChanging(false)} />}
    </section>
  );
}
