import { plural } from '@gonimos/core/words';
import { useState } from 'react';
import {
  editNursery,
  editPlace,
  LIGHTS,
  newPlace,
  PLACE_KINDS,
  type Nursery as Data,
  type Place,
} from '@gonimos/contract/nursery';
import { Trail } from '../audit/trail';
import { Account } from '../people/account';
import { People } from '../people/people';
import { useMay } from '../people/session';
import { NurserySchools } from '../schools/nursery-schools';
import { InTurn } from '../common/after-paint';
import { useContractForm } from '../common/contract-form';
import { Field, Trouble } from '../common/field';
import { Loading } from '../common/loading';
import { Sheet } from '../common/sheet';
import { useEditNursery, useEditPlace, useNewPlace, useNursery, usePlaces } from '../nursery/queries';
import { siteInputs, SiteFields, toSite } from '../nursery/site-fields';
import { difference, measureText, temperature, typedMeasure, unit } from '../common/units';

function PlaceSheet({ place, onClose }: { place: Place | null; onClose: () => void }) {
  const edit = useEditPlace();
  const add = useNewPlace();
  const { form, errors, send } = useContractForm({
    first: {
      name: place?.name ?? '',
      kind: place?.kind ?? 'outdoors',
      night: String(place?.night ?? 0),
      day: String(place?.day ?? 0),
      heatedTo: place?.heatedTo == null ? '' : measureText(place.heatedTo, 'temperature'),
      light: place?.light ?? 'full',
      length: measureText(place?.length),
      width: measureText(place?.width),
    },
    schema: place ? editPlace : newPlace,
    payload: (v) => ({
      ...v,
      night: typedMeasure(v.night, 'difference'),
      day: typedMeasure(v.day, 'difference'),
      heatedTo: typedMeasure(v.heatedTo, 'temperature') ?? null,
      length: typedMeasure(v.length, 'length') ?? null,
      width: typedMeasure(v.width, 'length') ?? null,
      ...(place ? { id: place.id, version: place.version } : {}),
    }),
  });
  const error = edit.error ?? add.error;
  const keep = place ? send(edit, onClose) : send(add, onClose);
  return (
    <Sheet title={place ? place.name : 'New place'} onClose={onClose}>
      <form className="grid gap-5" onSubmit={keep} noValidate>
        {(errors.root ?? error) && <Trouble>{(errors.root ?? error)?.message}</Trouble>}
        <Field label="Name" error={errors.name?.message}>
          <input className="input" autoComplete="off" {...form.register('name')} />
        </Field>
        <Field label="Kind">
          <select className="select" {...form.register('kind')}>
            {PLACE_KINDS.map((k) => (
              <option key={k}>{k}</option>
            ))}
          </select>
        </Field>
        <div className="grid grid-cols-2 gap-4">
          <Field label="Nights" hint={`${unit('difference')} against outdoors`} error={errors.night?.message}>
            <input className="input" inputMode="decimal" {...form.register('night')} />
          </Field>
          <Field label="Days" hint={`${unit('difference')} against outdoors`} error={errors.day?.message}>
            <input className="input" inputMode="decimal" {...form.register('day')} />
          </Field>
        </div>
        <Field
          label="Heated to"
          hint={`${unit('temperature')} it never falls below; empty when unheated`}
          error={errors.heatedTo?.message}
        >
          <input className="input" inputMode="decimal" {...form.register('heatedTo')} />
        </Field>
        <Field label="Light" hint="low buds go dark in shade">
          <select className="select" {...form.register('light')}>
            {LIGHTS.map((l) => (
              <option key={l}>{l}</option>
            ))}
          </select>
        </Field>
        <div className="grid grid-cols-2 gap-4">
          <Field
            label="Length"
            hint={`${unit('length')}, or 12 m; empty: not measured`}
            error={errors.length?.message}
          >
            <input className="input" autoComplete="off" {...form.register('length')} />
          </Field>
          <Field
            label="Width"
            hint={`${unit('length')}, of what plants stand on`}
            error={errors.width?.message}
          >
            <input className="input" autoComplete="off" {...form.register('width')} />
          </Field>
        </div>
        <button className="btn btn-primary btn-tall" disabled={edit.isPending || add.isPending}>
          {edit.isPending ? 'Planning every course again …' : 'Save'}
        </button>
      </form>
    </Sheet>
  );
}

function Places() {
  const places = usePlaces().data ?? [];
  const may = useMay('grower');
  const [open, setOpen] = useState<Place | 'new' | null>(null);
  return (
    <section>
      <header className="mb-2 flex items-baseline justify-between gap-3">
        <h2 className="text-xl">Places</h2>
        {may && (
          <button type="button" className="btn btn-outline" onClick={() => setOpen('new')}>
            Add a place
          </button>
        )}
      </header>
      <ul className="card-plain divide-y divide-base-300">
        {places.map((p) => (
          <li key={p.id} className="flex flex-wrap items-center justify-between gap-x-6 gap-y-1 px-4 py-3">
            <span className="min-w-40">
              <strong>{p.name}</strong> <span className="soft">{p.kind}</span>
            </span>
            <span className="soft">
              nights {difference(p.night)}, days {difference(p.day)}
              {p.heatedTo !== null && `, heated to ${temperature(p.heatedTo)}`}, {p.light} light
            </span>
            <span>{plural(p.cohorts, 'cohort')}</span>
            {may && (
              <button
                type="button"
                className="btn btn-ghost border border-base-300"
                onClick={() => setOpen(p)}
              >
                Change<span className="sr-only"> {p.name}</span>
              </button>
            )}
          </li>
        ))}
      </ul>
      {open && <PlaceSheet place={open === 'new' ? null : open} onClose={() => setOpen(null)} />}
    </section>
  );
}

function SiteForm({ nursery }: { nursery: Data }) {
  const edit = useEditNursery();
  const { form, errors, send } = useContractForm({
    first: { name: nursery.name, stationUrl: nursery.stationUrl ?? '', ...siteInputs(nursery) },
    schema: editNursery,
    payload: ({ name, stationUrl, ...site }) => ({
      version: nursery.version,
      name,
      stationUrl: stationUrl.trim() || null,
      ...toSite(site),
    }),
  });
  return (
    <form className="grid gap-5" onSubmit={send(edit)} noValidate>
      {(errors.root ?? edit.error) && <Trouble>{(errors.root ?? edit.error)?.message}</Trouble>}
      <Field label="Name" error={errors.name?.message}>
        <input className="input" {...form.register('name')} />
      </Field>
      <Field
        label="Weather station"
        hint="address that answers with its last 24 hours; empty for none, the demo has a simulated one"
        error={errors.stationUrl?.message}
      >
        <input className="input" inputMode="url" autoComplete="off" {...form.register('stationUrl')} />
      </Field>
      <SiteFields register={form.register} errors={errors} />
      <button className="btn btn-primary btn-tall justify-self-start px-8" disabled={edit.isPending}>
        {edit.isPending ? 'Planning every course again …' : 'Save and plan again'}
      </button>
      {edit.isSuccess && <p role="status">Saved; every course was planned again.</p>}
    </form>
  );
}

export function Nursery() {
  const { data: nursery, error } = useNursery();
  const owner = useMay('owner');
  if (!nursery) return <Loading error={error} />;
  return (
    <div className="grid max-w-4xl grid-cols-[minmax(0,1fr)] gap-9 px-4 py-6 lg:px-6">
      <h1 className="text-3xl">{nursery.name}</h1>
      <InTurn>
        <Places />
        <NurserySchools key={nursery.version} nursery={nursery} />
        {owner && <People />}
        <Account />
        {owner && <Trail />}
        {owner && (
          <section>
            <h2 className="mb-3 text-xl">Site</h2>
            <SiteForm key={nursery.version} nursery={nursery} />
          </section>
        )}
        {owner && (
          <section className="grid gap-3">
            <h2 className="text-xl">Everything out</h2>
            <p className="soft text-sm">
              Every table as CSV, all rows as JSON, the pictures, and a README of the columns, in one zip.
              Passwords and sessions stay here.
            </p>
            <a className="btn btn-outline justify-self-start" href="/api/everything.zip" download>
              Download everything
            </a>
          </section>
        )}
      </InTurn>
    </div>
  );
}
