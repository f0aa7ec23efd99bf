import { useState } from 'react';
import { newPerson, ROLES, type PersonRow, type Role } from '@gonimos/contract/people';
import { useContractForm } from '../common/contract-form';
import { faultsIn } from '../common/check';
import { Field, Trouble } from '../common/field';
import { Sheet } from '../common/sheet';
import { useDisable, useEditRole, useNewPerson, usePeople, useResetPassword } from './queries';
import { useSession } from './session';

/** An owner gives somebody a new password, and tells it to them. */
function ResetSheet({ person, onClose }: { person: PersonRow; onClose: () => void }) {
  const reset = useResetPassword();
  const [password, setPassword] = useState('');
  return (
    <Sheet title={`New password for ${person.name}`} sub="They are signed out everywhere." onClose={onClose}>
      <form
        className="grid gap-4"
        noValidate
        onSubmit={(e) => {
          e.preventDefault();
          reset.mutate({ id: person.id, version: person.version, password }, { onSuccess: onClose });
        }}
      >
        {reset.error && <Trouble>{reset.error.message}</Trouble>}
        <Field label="Password" hint="ten letters or more" error={faultsIn(reset.error).password}>
          <input
            className="input"
            type="password"
            autoComplete="new-password"
            value={password}
            onChange={(e) => setPassword(e.target.value)}
          />
        </Field>
        <button className="btn btn-primary btn-tall" disabled={reset.isPending || password === ''}>
          Give this password
        </button>
      </form>
    </Sheet>
  );
}

function AddPerson() {
  const add = useNewPerson();
  const { form, errors, send } = useContractForm({
    first: { name: '', role: 'helper', password: '' },
    schema: newPerson,
    payload: (v) => v,
  });
  return (
    <>
      {add.error && Object.keys(errors).length === 0 && <Trouble>{add.error.message}</Trouble>}
      <form
        className="grid items-start gap-3 sm:grid-cols-[1fr_1fr_9rem_auto]"
        noValidate
        onSubmit={send(add, () => form.reset())}
      >
        <Field label="Name" error={errors.name?.message}>
          <input className="input" autoComplete="off" {...form.register('name')} />
        </Field>
        <Field label="Password" error={errors.password?.message}>
          <input
            className="input"
            type="password"
            autoComplete="new-password"
            {...form.register('password')}
          />
        </Field>
        <Field label="Role" error={errors.role?.message}>
          <select className="select" {...form.register('role')}>
            {ROLES.map((r) => (
              <option key={r}>{r}</option>
            ))}
          </select>
        </Field>
        <button className="btn btn-outline btn-tall sm:mt-7" disabled={add.isPending}>
          Add
        </button>
      </form>
    </>
  );
}

/** Who may sign in, and as what; owners only. */
export function People() {
  const people = usePeople().data ?? [];
  const own = useSession().data?.person?.id;
  const role = useEditRole();
  const disable = useDisable();
  const [resetting, setResetting] = useState<PersonRow | null>(null);
  const error = role.error ?? disable.error;
  return (
    <section className="grid gap-3">
      <h2 className="text-xl">People</h2>
      {error && <Trouble>{error.message}</Trouble>}
      <ul className="card-plain divide-y divide-base-300">
        {people.map((p) => (
          <li key={p.id} className="flex flex-wrap items-center gap-3 px-4 py-2">
            <p className="min-w-40 grow">
              <strong>{p.name}</strong>
              {p.disabled && <span className="soft"> · may not sign in</span>}
            </p>
            <select
              className="select w-40"
              aria-label={`Role of ${p.name}`}
              value={p.role}
              onChange={(e) => role.mutate({ id: p.id, version: p.version, role: e.target.value as Role })}
            >
              {ROLES.map((r) => (
                <option key={r}>{r}</option>
              ))}
            </select>
            {p.id !== own && (
              <>
                <button type="button" className="btn btn-outline" onClick={() => setResetting(p)}>
                  New password
                </button>
                <button
                  type="button"
                  className="btn btn-outline w-28"
                  disabled={disable.isPending}
                  onClick={() => disable.mutate({ id: p.id, version: p.version, disabled: !p.disabled })}
                >
                  {p.disabled ? 'Let in again' : 'Keep out'}
                </button>
              </>
            )}
          </li>
        ))}
      </ul>
      <AddPerson />
      {resetting && <ResetSheet person={resetting} onClose={() => setResetting(null)} />}
    </section>
  );
}
