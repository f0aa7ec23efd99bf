import { typed } from '../common/numbers';
import { useDeferredValue, useEffect, useRef } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { newCohort, previewCourse } from '@gonimos/contract/cohorts';
import { readUncertainDate } from '@gonimos/core/calendar/uncertain';
import { CONTAINERS } from '@gonimos/core/containers';
import { PROGRAMMES, suits, usualProgramme, type Method, type Programme } from '@gonimos/core/programmes';
import { taxaByName, taxon } from '@gonimos/core/taxa';
import { useAllProgrammes } from '../library/queries';
import { PlaceOptions } from '../nursery/place-options';
import { usePlaces, useToday } from '../nursery/queries';
import { useLots } from '../seed/queries';
import { useGoals } from '../starts/queries';
import { CuttingHints } from '../cuttings/hints';
import { useContractForm } from '../common/contract-form';
import { readDraft, useDraft } from '../common/draft';
import { Field, Trouble } from '../common/field';
import { CoursePreview } from '../cohorts/course-preview';
import { MaybeField } from '../cohorts/maybe-field';
import { Remarks } from '../cohorts/remarks';
import { KinFields, NO_KIN, type KinInputs } from './kin-fields';
import {
  fromElsewhere,
  NO_ORIGIN,
  OriginFields,
  originOf,
  type OriginInputs,
} from '../cohorts/origin-fields';
import { useEnterCohort, usePreview, useRegister } from '../cohorts/queries';

interface Inputs extends KinInputs, OriginInputs {
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

const DRAFT = 'new cohort';

/** The form as the contract wants it; what is not a number stays one that fails. */
const toPayload = (v: Inputs, method: Method) => ({
  code: v.code.trim(),
  taxonId: v.taxonId,
  programmeId: v.programmeId,
  placeId: v.placeId,
  container: v.container,
  started: v.started.trim(),
  count: typed(v.count),
  goal: v.goal,
  note: v.note,
  goalCaliper: typed(v.goalCaliper) ?? null,
  schools: v.insults ? { insults: v.insults } : {},
  parentId: v.parentId || null,
  goalId: v.goalId || null,
  lotId: v.lotId || null,
  hostId: v.hostId || null,
  origin: originOf(v, method),
  standsAt: v.standsAt || null,
  maybe: v.maybe,
});

/** A code nobody uses: the taxon's letters and the year of the start. */
function freeCode(taxonId: string, started: string, taken: Set<string>): string {
  const read = readUncertainDate(started, 'north');
  const base = `${taxon(taxonId).code}-${(read?.from ?? '0000').slice(2, 4)}`;
  for (const more of ['', 'B', 'C', 'D', 'E', 'F', 'G', 'H']) if (!taken.has(base + more)) return base + more;
  return base;
}

/** A start that was offered elsewhere comes in the address: taxon, programme, count, goal, parent, lot. */
function offered(search: URLSearchParams, all: readonly Programme[]): Partial<Inputs> {
  const got: Partial<Inputs> = {};
  for (const k of ['taxonId', 'programmeId', 'count', 'placeId', 'started', ...KIN] as const) {
    const value = search.get(k);
    if (value) got[k] = value;
  }
  const p = all.find((x) => x.id === got.programmeId);
  return p ? { ...got, standsAt: '', container: p.steps[0].container ?? 'seed-flat' } : got;
}
const KIN = ['goalId', 'parentId', 'lotId'] as const;

export function NewCohort() {
  const today = useToday();
  const places = usePlaces().data;
  const rows = useRegister().data;
  // everything the form is made of comes first: an input that appears late moves the button under the finger
  const lots = useLots();
  const goals = useGoals();
  const ready =
    today !== '' && places !== undefined && rows !== undefined && !lots.isPending && !goals.isPending;
  return ready ? (
    <Form today={today} firstPlace={places[0]?.id ?? ''} taken={new Set(rows.map((r) => r.code))} />
  ) : null;
}

function Form({ today, firstPlace, taken }: { today: string; firstPlace: string; taken: Set<string> }) {
  const rows = useRegister().data ?? [];
  const navigate = useNavigate();
  const enter = useEnterCohort(DRAFT);
  const all = useAllProgrammes();
  const first = PROGRAMMES[0];
  const [search] = useSearchParams();
  const programmeOf = (id: string) => all.find((p) => p.id === id) ?? first;
  const { form, errors, send } = useContractForm({
    first: {
      taxonId: 'acer-campestre',
      programmeId: first.id,
      count: '',
      started: today,
      placeId: firstPlace,
      code: '',
      container: first.steps[0].container ?? 'seed-flat',
      standsAt: '',
      insults: '',
      goalCaliper: '',
      goal: '',
      note: '',
      maybe: [],
      ...NO_KIN,
      ...NO_ORIGIN,
      ...readDraft<Inputs>(DRAFT),
      ...offered(search, all),
    },
    schema: newCohort,
    payload: (typed) => toPayload(typed, programmeOf(typed.programmeId).method),
  });
  useDraft(DRAFT, form);
  const v = form.watch();
  const chosen = programmeOf(v.programmeId);
  const payload = toPayload(v, chosen.method);
  const seed = chosen.method === 'seed';

  const { taxonId, programmeId, started } = v;
  const { setValue } = form;
  // the code follows taxon and start until the grower writes one
  const freed = freeCode(taxonId, started, taken);
  const lastOffered = useRef(freed);
  useEffect(() => {
    if (v.code === '' || v.code === lastOffered.current) setValue('code', freed);
    lastOffered.current = freed;
  }, [freed, v.code, setValue]);
  const begin = (id: string) => {
    setValue('programmeId', id);
    setValue('standsAt', '');
    setValue('container', all.find((p) => p.id === id)?.steps[0].container ?? 'seed-flat');
  };
  const ofTaxon = (id: string) => {
    const fits = (p: (typeof all)[number]) => suits(p.id, taxon(id), p.own);
    const usual = usualProgramme(id, all);
    if (usual && usual.id === 'swollen-base') begin(usual.id);
    else if (!fits(chosen as (typeof all)[number])) begin((usual ?? all.find(fits))?.id ?? programmeId);
    setValue('maybe', []);
  };

  const asked = {
    taxonId,
    programmeId,
    placeId: payload.placeId,
    started: payload.started,
    count: payload.count ?? 100,
    container: payload.container,
    standsAt: payload.standsAt,
    schools: payload.schools,
    maybe: payload.maybe,
    lotId: payload.lotId,
  };
  const deferred = useDeferredValue(JSON.stringify(asked));
  const askable = previewCourse.isValidSync(JSON.parse(deferred));
  const preview = usePreview(askable ? previewCourse.cast(JSON.parse(deferred)) : null);

  const enterIt = send(enter, (entered) => void navigate(`/cohorts/${entered.recordId}`));

  return (
    <div className="grid xl:grid-cols-[27rem_minmax(0,1fr)]">
      <form className="grid content-start gap-5 px-4 py-6 lg:px-6" onSubmit={enterIt} noValidate>
        <h1 className="text-3xl">New cohort</h1>
        {(errors.root ?? enter.error) && <Trouble>{(errors.root ?? enter.error)?.message}</Trouble>}
        <Field label="Taxon" hint={taxon(v.taxonId).caution} error={errors.taxonId?.message}>
          <select
            className="select"
            {...form.register('taxonId', {
              onChange: (e: { target: { value: string } }) => ofTaxon(e.target.value),
            })}
          >
            {taxaByName().map((t) => (
              <option key={t.id} value={t.id}>
                {t.name} ({t.botanical})
              </option>
            ))}
          </select>
        </Field>
        <MaybeField
          taxonId={v.taxonId}
          value={v.maybe}
          onChange={(next) => setValue('maybe', next)}
          error={(errors.maybe as { message?: string } | undefined)?.message}
        />
        <Field label="Programme" hint={chosen.summary} error={errors.programmeId?.message}>
          <select
            className="select"
            {...form.register('programmeId', {
              onChange: (e: { target: { value: string } }) => begin(e.target.value),
            })}
          >
            {all
              .filter((p) => suits(p.id, taxon(v.taxonId), p.own))
              .map((p) => (
                <option key={p.id} value={p.id}>
                  {p.name}
                </option>
              ))}
          </select>
        </Field>
        {chosen.method === 'cutting' && !v.standsAt && <CuttingHints programmeId={chosen.id} />}
        <div className="grid grid-cols-2 gap-4">
          <Field
            label={
              seed && !v.standsAt
                ? 'Seeds'
                : chosen.method === 'cutting' && !v.standsAt
                  ? 'Cuttings'
                  : 'Plants'
            }
            error={errors.count?.message}
          >
            <input className="input" inputMode="numeric" autoComplete="off" {...form.register('count')} />
          </Field>
          <Field label="Code" error={errors.code?.message}>
            <input className="input" autoComplete="off" {...form.register('code')} />
          </Field>
        </div>
        <Field
          label="Started"
          hint="a day, or as well as you know: spring 2035, 2035-04, 2034-2035"
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
              {CONTAINERS.map((c) => (
                <option key={c.id} value={c.id}>
                  {c.name}
                </option>
              ))}
            </select>
          </Field>
        </div>
        <div className="grid grid-cols-2 gap-4">
          <Field label="Goal caliper" hint="mm at the base" error={errors.goalCaliper?.message}>
            <input
              className="input"
              inputMode="decimal"
              autoComplete="off"
              {...form.register('goalCaliper')}
            />
          </Field>
          <Field label="Root and top work" error={errors.insults?.message}>
            <select className="select" {...form.register('insults')}>
              <option value="">by taxon and age</option>
              <option value="one">one insult a season</option>
              <option value="combined">together</option>
            </select>
          </Field>
        </div>
        <Field label="Goal" hint="form, size, style, in your words" error={errors.goal?.message}>
          <input className="input" autoComplete="off" {...form.register('goal')} />
        </Field>
        {fromElsewhere(chosen.method) && !v.standsAt && <OriginFields form={form} method={chosen.method} />}
        <KinFields form={form} rows={rows} taxonId={taxonId} placeId={v.placeId} seed={seed} />
        <Field label="Note" error={errors.note?.message}>
          <textarea className="textarea" rows={2} {...form.register('note')} />
        </Field>
        <button className="btn btn-primary btn-tall text-lg" disabled={enter.isPending}>
          {enter.isPending ? 'Entering …' : 'Enter this cohort'}
        </button>
      </form>
      <section
        className="border-base-300 bg-base-100 px-4 py-6 lg:px-6 xl:border-l"
        aria-label="The course it would have"
      >
        {preview.data && <Remarks remarks={preview.data.remarks} today={today} />}
        {preview.data ? (
          <CoursePreview
            course={preview.data}
            today={today}
            target={typed(v.goalCaliper) ?? null}
            name={taxon(v.taxonId).name}
          />
        ) : preview.error ? (
          <Trouble>{preview.error.message}</Trouble>
        ) : (
          <p className="soft">The course appears here once the start can be read.</p>
        )}
      </section>
    </div>
  );
}
