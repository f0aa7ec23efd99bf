import { yupResolver } from '@hookform/resolvers/yup';
import { useForm } from 'react-hook-form';
import { signIn, type Role, type SignIn as Input } from '@gonimos/contract/people';
import { Field, Trouble } from '../common/field';
import { useEnterDemo, useSession, useSignIn } from './session';

const ROLES: { role: Role; name: string; does: string }[] = [
  { role: 'grower', name: 'Grower', does: 'plans courses, records work' },
  { role: 'helper', name: 'Helper', does: 'sees the round, records work' },
  { role: 'owner', name: 'Owner', does: 'everything, with people and site' },
];

export function SignIn() {
  const demo = useSession().data?.demo ?? false;
  const enter = useEnterDemo();
  const sign = useSignIn();
  const form = useForm<Input>({ resolver: yupResolver(signIn), defaultValues: { name: '', password: '' } });
  const { errors } = form.formState;
  return (
    <main className="mx-auto grid min-h-dvh max-w-md content-center gap-8 px-5 py-10">
      <header>
        <img src="/mark.svg" alt="" width={52} height={52} />
        <h1 className="mt-3 text-4xl">Gonimos</h1>
        <p className="soft mt-2 text-lg">
          From seed, cutting and layer to a trunk worth a pot: what to do now, and why.
        </p>
      </header>
      {demo ? (
        <section aria-labelledby="demo">
          <h2 id="demo" className="mb-3 text-xl">
            Walk into Tessary Bank
          </h2>
          <p className="soft mb-4">An invented nursery, 9 March of its demo year. Look at it as:</p>
          <div className="grid gap-3">
            {ROLES.map((r) => (
              <button
                key={r.role}
                type="button"
                className="card-plain btn-tall flex items-baseline gap-3 px-5 py-3 text-left hover:border-primary"
                disabled={enter.isPending}
                onClick={() => enter.mutate(r.role)}
              >
                <span className="text-lg font-bold">{r.name}</span>
                <span className="soft">{r.does}</span>
              </button>
            ))}
          </div>
          {enter.error && <Trouble>{enter.error.message}</Trouble>}
        </section>
      ) : (
        <form className="grid gap-4" onSubmit={form.handleSubmit((input) => sign.mutate(input))} noValidate>
          <Field label="Name" error={errors.name?.message}>
            <input className="input" autoComplete="username" {...form.register('name')} />
          </Field>
          <Field label="Password" error={errors.password?.message}>
            <input
              className="input"
              type="password"
              autoComplete="current-password"
              {...form.register('password')}
            />
          </Field>
          {sign.error && <Trouble>{sign.error.message}</Trouble>}
          <button className="btn btn-primary btn-tall" disabled={sign.isPending}>
            Sign in
          </button>
        </form>
      )}
    </main>
  );
}
