import { climateInputs, siteInputs, SiteFields, toSite, type SiteInputs } from '../nursery/site-fields';
import { TypicalClimates } from '../nursery/typical-climates';
import { firstOwner } from '@gonimos/contract/people';
import { useContractForm } from '../common/contract-form';
import { Field, Trouble } from '../common/field';
import { useFirstOwner } from './session';

interface Inputs extends SiteInputs {
  name: string;
  password: string;
  nursery: string;
}

/** A temperate year to begin from; the owner puts their own in its place. */
const ORDINARY = siteInputs({
  latitude: 50,
  longitude: 0,
  elevation: 100,
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  tmin: [0, 0, 2, 4, 7, 10, 12, 12, 9, 6, 3, 1],
  tmax: [7, 8, 11, 14, 18, 21, 23, 23, 20, 15, 10, 7],
  spreadWinter: 3,
  spreadSummer: 2.3,
  wetFrom: null,
});

/** First visit of a new nursery: who owns it and where it stands. */
export function FirstOwner() {
  const make = useFirstOwner();
  const { form, errors, send } = useContractForm({
    first: { name: '', password: '', nursery: '', ...ORDINARY },
    schema: firstOwner,
    payload: ({ name, password, nursery, ...site }: Inputs) => ({ name, password, nursery, ...toSite(site) }),
  });
  return (
    <main className="mx-auto max-w-3xl px-5 py-10">
      <h1 className="text-4xl">A new nursery</h1>
      <p className="soft mt-2 mb-6 text-lg">
        Its climate decides every window, so it comes first. All of it can be changed later.
      </p>
      <form className="grid gap-5" onSubmit={send(make)} noValidate>
        {(errors.root ?? make.error) && <Trouble>{(errors.root ?? make.error)?.message}</Trouble>}
        <div className="grid gap-4 sm:grid-cols-3">
          <Field label="Nursery" error={errors.nursery?.message}>
            <input className="input" {...form.register('nursery')} />
          </Field>
          <Field label="Your name" error={errors.name?.message}>
            <input className="input" autoComplete="username" {...form.register('name')} />
          </Field>
          <Field label="Password" hint="10 letters or more" error={errors.password?.message}>
            <input
              className="input"
              type="password"
              autoComplete="new-password"
              {...form.register('password')}
            />
          </Field>
        </div>
        <TypicalClimates
          onChoose={(c) => form.reset({ ...form.getValues(), ...climateInputs(form.getValues(), c) })}
        />
        <SiteFields register={form.register} errors={errors} />
        <button className="btn btn-primary btn-tall text-lg" disabled={make.isPending}>
          Open the nursery
        </button>
      </form>
    </main>
  );
}
