import { useMemo } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import { containers } from '@gonimos/core/containers';
import { suits, usualProgramme, type Programme } from '@gonimos/core/programmes';
import { taxaByName, taxon } from '@gonimos/core/taxa';
import { MaybeField } from '../cohorts/maybe-field';
import type { OriginInputs } from '../cohorts/origin-fields';
import { Field } from '../common/field';
import { Pick } from '../common/pick';
import { PlaceOptions } from '../nursery/place-options';
import type { KinInputs } from './kin-fields';
import { unit } from '../common/units';

export interface Inputs extends KinInputs, OriginInputs {
  insults: string;
  taxonId: string;
  programmeId: string;
  code: string;
  count: string;
  started: string;
  container: string;
  placeId: string;
  standsAt: string;
  goalCaliper: string;
  goal: string;
  note: string;
  maybe: string[];
}

type Form = UseFormReturn<Inputs>;
type Chosen = Programme & { own?: boolean };

interface KindProps {
  form: Form;
  all: readonly (Programme & { own: boolean })[];
  chosen: Chosen;
  /** begins with another programme: its first container, nothing behind it */
  begin: (programmeId: string) => void;
}

/** What it is, and by which programme it is raised. */
export function KindFields({ form, all, chosen, begin }: KindProps) {
  const v = form.watch();
  const { setValue } = form;
  const { errors } = form.formState;
  const ofTaxon = (id: string) => {
    if (id === '') return;
    setValue('taxonId', id, { shouldValidate: form.formState.isSubmitted });
    const fits = (p: Programme & { own: boolean }) => suits(p.id, taxon(id), p.own);
    const usual = usualProgramme(id, all);
    // another programme only where the one at hand does not suit the kind
    const suited = suits(chosen.id, taxon(id), chosen.own) && usual?.id !== 'swollen-base';
    if (!suited) begin((usual ?? all.find(fits))?.id ?? v.programmeId);
    setValue('maybe', []);
  };
  const taxa = useMemo(() => taxaByName().map((t) => ({ id: t.id, name: t.name, more: t.botanical })), []);
  const programmes = all.filter((p) => suits(p.id, taxon(v.taxonId), p.own));

  return (
    <>
      <Pick
        label="Taxon"
        choices={taxa}
        value={v.taxonId}
        onChoose={ofTaxon}
        hint={taxon(v.taxonId).caution}
        error={errors.taxonId?.message}
      />
      <MaybeField
        taxonId={v.taxonId}
        value={v.maybe}
        onChange={(next) => setValue('maybe', next)}
        error={(errors.maybe as { message?: string } | undefined)?.message}
      />
      <Pick
        label="Programme"
        choices={programmes}
        value={v.programmeId}
        onChoose={(id) => id !== '' && begin(id)}
        hint={chosen.summary}
        error={errors.programmeId?.message}
      />
    </>
  );
}

interface StartProps {
  form: Form;
  chosen: Chosen;
  /** the field of the code is left */
  leaveCode: () => void;
}

/** How many, since when, and where they stand. */
export function StartFields({ form, chosen, leaveCode }: StartProps) {
  const v = form.watch();
  const { errors } = form.formState;
  const seed = chosen.method === 'seed';
  return (
    <>
      <div className="grid grid-cols-2 gap-4">
        <Field
          label={
            seed && !v.standsAt ? 'Seeds' : chosen.method === 'cutting' && !v.standsAt ? 'Cuttings' : 'Plants'
          }
          error={errors.count?.message}
        >
          <input className="input" inputMode="numeric" autoComplete="off" {...form.register('count')} />
        </Field>
        <Field label="Code" error={errors.code?.message}>
          <input className="input" autoComplete="off" {...form.register('code', { onBlur: leaveCode })} />
        </Field>
      </div>
      <Field
        label="Started"
        hint="a day, or as well as you know: spring 2035, 2035-04, 2034-2035, 2 or 3 years"
        error={errors.started?.message}
      >
        <input className="input" autoComplete="off" {...form.register('started')} />
      </Field>
      <Field label="Stands at" hint="for stock with years behind it" error={errors.standsAt?.message}>
        <select className="select" {...form.register('standsAt')}>
          <option value="">the beginning: just {seed ? 'sown' : 'started'}</option>
          {chosen.steps.slice(1).map((s) => (
            <option key={s.key} value={s.key}>
              before: {s.title ?? s.key.replace(/-\d$/, '').replace('-', ' ')}
            </option>
          ))}
        </select>
      </Field>
      <div className="grid grid-cols-2 gap-4">
        <Field label="Place" error={errors.placeId?.message}>
          <select className="select" {...form.register('placeId')}>
            <PlaceOptions />
          </select>
        </Field>
        <Field label="Container" error={errors.container?.message}>
          <select className="select" {...form.register('container')}>
            {containers().map((c) => (
              <option key={c.id} value={c.id}>
                {c.name}
              </option>
            ))}
          </select>
        </Field>
      </div>
    </>
  );
}

/** What they are raised for, and how hard they are worked. */
export function AimFields({ form }: { form: Form }) {
  const { errors } = form.formState;
  return (
    <div className="grid grid-cols-2 gap-4">
      <Field label="Goal caliper" hint={`${unit('length')} at the base`} error={errors.goalCaliper?.message}>
        <input className="input" inputMode="decimal" autoComplete="off" {...form.register('goalCaliper')} />
      </Field>
      <Field label="Root and top work" error={errors.insults?.message}>
        <select className="select" {...form.register('insults')}>
          <option value="">by taxon and age</option>
          <option value="one">one insult a season</option>
          <option value="combined">together</option>
        </select>
      </Field>
    </div>
  );
}
