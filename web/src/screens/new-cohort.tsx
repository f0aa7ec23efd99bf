import { typed } from '../common/numbers';
import { useDeferredValue, useEffect, useRef, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { newCohort, previewCourse } from '@gonimos/contract/cohorts';
import { readUncertainDate } from '@gonimos/core/calendar/uncertain';
import { PROGRAMMES, type Method, type Programme } from '@gonimos/core/programmes';
import { hasTaxon, taxon } from '@gonimos/core/taxa';
import { useAllProgrammes } from '../library/queries';
import { usePlaces, useToday } from '../nursery/queries';
import { useLots } from '../seed/queries';
import { useGoals } from '../starts/queries';
import { CuttingHints } from '../cuttings/hints';
import { useContractForm } from '../common/contract-form';
import { dropDraft, readDraft, useDraft } from '../common/draft';
import { Field, Trouble } from '../common/field';
import { CoursePreview } from '../cohorts/course-preview';
import { Remarks } from '../cohorts/remarks';
import { KinFields, NO_KIN } from './kin-fields';
import { AimFields, KindFields, StartFields, type Inputs } from './new-cohort-fields';
import { fromElsewhere, NO_ORIGIN, OriginFields, originOf } from '../cohorts/origin-fields';
import { useEnterCohort, usePreview, useRegister } from '../cohorts/queries';
import { dateOrder } from '../common/date-order';
import { shortDate } from '../common/dates';
import { readDay } from '../common/read-day';
import { typedLength } from '../common/units';

const DRAFT = 'new cohort';

/** A start as it was typed: a day in one's own order, or as well as it is known. */
const startSaid = (text: string, today: string): string =>
  readUncertainDate(text, 'north', today)
    ? text.trim()
    : (readDay(text, today, { order: dateOrder() }) ?? text.trim());

/** The form as the contract wants it; what is not a number stays one that fails. */
const toPayload = (v: Inputs, method: Method, today: string) => ({
  code: v.code.trim(),
  taxonId: v.taxonId,
  programmeId: v.programmeId,
  placeId: v.placeId,
  container: v.container,
  started: startSaid(v.started, today),
  count: typed(v.count),
  goal: v.goal,
  note: v.note,
  goalCaliper: typedLength(v.goalCaliper) ?? null,
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
function freeCode(taxonId: string, started: string, taken: Set<string>, today: string): string {
  const read = readUncertainDate(startSaid(started, today), 'north', today);
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
  const [before] = useState(() => readDraft<Inputs>(DRAFT));
  // a page that is loaded again goes on where it was; who comes anew is asked
  const [taken, setTaken] = useState(isReload);
  const [gone, setGone] = useState(false);
  if (!ready) return null;
  const waits = !taken && !gone && Object.keys(before).length > 0;
  return (
    <Form
      key={String(taken)}
      today={today}
      firstPlace={places[0]?.id ?? ''}
      taken={new Set(rows.map((r) => r.code))}
      draft={taken ? before : {}}
      offeredDraft={waits ? before : null}
      onTake={() => setTaken(true)}
      onDrop={() => {
        setGone(true);
        dropDraft(DRAFT);
      }}
    />
  );
}

/** Whether this page was loaded again, and not come to by a link. */
function isReload(): boolean {
  const [entry] = performance.getEntriesByType('navigation') as PerformanceNavigationTiming[];
  return entry?.type === 'reload' && new URL(entry.name).pathname === window.location.pathname;
}

/** The course that what is typed would give, asked for while nobody types. */
function usePreviewOf(payload: ReturnType<typeof toPayload>) {
  const asked = {
    taxonId: payload.taxonId,
    programmeId: payload.programmeId,
    placeId: payload.placeId,
    started: payload.started,
    count: payload.count ?? 100,
    container: payload.container,
    standsAt: payload.standsAt,
    schools: payload.schools,
    maybe: payload.maybe,
    lotId: payload.lotId,
    hostId: payload.hostId,
  };
  const deferred = useDeferredValue(JSON.stringify(asked));
  const askable = previewCourse.isValidSync(JSON.parse(deferred));
  return usePreview(askable ? previewCourse.cast(JSON.parse(deferred)) : null);
}

interface FormProps {
  today: string;
  firstPlace: string;
  taken: Set<string>;
  /** what the form begins with, of what was typed before */
  draft: Partial<Inputs>;
  /** what was typed before and is offered only */
  offeredDraft: Partial<Inputs> | null;
  onTake: () => void;
  onDrop: () => void;
}

/** Something was begun before: it is offered, not forced on who begins anew. */
function DraftOffer({
  draft,
  onTake,
  onDrop,
}: {
  draft: Partial<Inputs>;
  onTake: () => void;
  onDrop: () => void;
}) {
  const what = draft.taxonId && hasTaxon(draft.taxonId) ? taxon(draft.taxonId).name : 'a cohort';
  return (
    <p className="flex flex-wrap items-center gap-x-3 gap-y-1 bg-[var(--slip)] px-4 py-2">
      <span className="grow">
        You had begun <strong>{draft.code || what}</strong>
        {draft.code && `, ${what}`}.
      </span>
      <button type="button" className="btn btn-outline btn-sm" onClick={onTake}>
        Go on with it
      </button>
      <button type="button" className="btn btn-ghost btn-sm" onClick={onDrop}>
        Forget it
      </button>
    </p>
  );
}

function Form({ today, firstPlace, taken, draft, offeredDraft, onTake, onDrop }: FormProps) {
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
      started: shortDate(today),
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
      ...draft,
      ...offered(search, all),
    },
    schema: newCohort,
    payload: (typed) => toPayload(typed, programmeOf(typed.programmeId).method, today),
  });
  useDraft(DRAFT, form);
  const v = form.watch();
  const chosen = programmeOf(v.programmeId);
  const payload = toPayload(v, chosen.method, today);
  const seed = chosen.method === 'seed';

  const { taxonId, started } = v;
  const { setValue } = form;
  // the code follows taxon and start until the grower writes one
  const freed = freeCode(taxonId, started, taken, today);
  const lastOffered = useRef(v.code === '' ? '' : freed);
  useEffect(() => {
    if (form.getValues('code') === lastOffered.current) setValue('code', freed);
    lastOffered.current = freed;
  }, [freed, form, setValue]);
  // emptied to write another it stays empty under the hand; left empty it is offered again
  const leaveCode = () => {
    if (form.getValues('code') === '') setValue('code', lastOffered.current);
  };
  const begin = (id: string) => {
    setValue('programmeId', id);
    setValue('standsAt', '');
    setValue('container', all.find((p) => p.id === id)?.steps[0].container ?? 'seed-flat');
  };

  const preview = usePreviewOf(payload);

  const enterIt = send(enter, (entered) => void navigate(`/cohorts/${entered.recordId}`));

  return (
    <div className="grid items-start xl:grid-cols-[27rem_minmax(0,1fr)]">
      <form className="grid content-start gap-5 px-4 py-6 lg:px-6" onSubmit={enterIt} noValidate>
        <h1 className="text-3xl">New cohort</h1>
        {offeredDraft && <DraftOffer draft={offeredDraft} onTake={onTake} onDrop={onDrop} />}
        {(errors.root ?? enter.error) && <Trouble>{(errors.root ?? enter.error)?.message}</Trouble>}
        <KindFields form={form} all={all} chosen={chosen} begin={begin} />
        {chosen.method === 'cutting' && !v.standsAt && <CuttingHints programmeId={chosen.id} />}
        <StartFields form={form} chosen={chosen} leaveCode={leaveCode} />
        <AimFields form={form} />
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
        className="border-base-300 bg-base-100 px-4 py-6 lg:px-6 xl:sticky xl:top-0 xl:max-h-dvh xl:overflow-y-auto xl:border-l"
        aria-label="The course it would have"
      >
        {preview.data && <Remarks remarks={preview.data.remarks} today={today} />}
        {preview.data ? (
          <CoursePreview
            course={preview.data}
            today={today}
            target={typedLength(v.goalCaliper) ?? null}
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
