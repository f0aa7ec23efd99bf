import { Pencil, Printer, Search, Target, TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { Outlet, useMatch, useParams, useSearchParams } from 'react-router';
import type { Cohort as Data } from '@gonimos/contract/cohorts';
import type { CourseStep } from '@gonimos/contract/course';
import { taxon } from '@gonimos/core/taxa';
import { useToday } from '../nursery/queries';
import { useMay } from '../people/session';
import { ClockButton } from '../clock/clock-button';
import { recordable } from '../course/recordable';
import { RecordSheet } from '../records/record-sheet';
import { dateSpan, seasonYear } from '../common/dates';
import { Held } from '../visits/held';
import { VisitSheet } from '../visits/visit-sheet';
import { RetargetSheet } from '../library/retarget-sheet';
import { useCourse } from '../course/queries';
import { Loading } from '../common/loading';
import { Parts } from '../common/parts';
import { Section } from '../common/section';
import { countWords } from '../common/words';
import { About } from './about';
import { EditCohort } from './edit-cohort';
import { SettleKind } from '../cohorts/settle-kind';
import { useCohort } from '../cohorts/queries';

/** Trays belong to what is sown or pricked out into cells. */
const partsOf = (c: Data): (readonly [string, string])[] => [
  ['', 'Course'],
  ['ledger', 'Ledger'],
  ...(c.trays > 0 || c.method === 'seed'
    ? [['trays', c.method === 'seed' ? 'Sowing' : 'Trays'] as const]
    : []),
  ...(c.live > 0
    ? ([
        ['roots', 'Roots'],
        ['stem', 'Stem'],
        ['trunk', 'Trunk'],
      ] as const)
    : []),
  ['lineage', 'Lineage'],
  ['notes', 'Notes'],
];

type Open = 'look' | 'found' | 'aim' | 'change' | null;

interface ActsProps {
  cohort: Data;
  /** the step that is to be done now */
  now: CourseStep | undefined;
  /** drawings want the room: in one hand they are not shown beside them */
  small: boolean;
  open: (what: Open) => void;
}

/** What may be done with a cohort besides its steps: in one hand a row of its own, a word under each mark. */
function Acts({ cohort, now, small, open }: ActsProps) {
  const may = useMay('grower');
  return (
    <div className={`cohort-acts no-print ${small ? 'max-sm:hidden' : ''}`}>
      {now && <ClockButton step={recordable(cohort, now)} className="act" />}
      <button type="button" className="act" onClick={() => open('look')}>
        <Search size={18} /> A look
      </button>
      <button type="button" className="act" onClick={() => open('found')}>
        <TriangleAlert size={18} /> Found
      </button>
      <a
        className="act max-sm:hidden"
        href={`/api/labels?cohorts=${cohort.id}`}
        target="_blank"
        rel="noreferrer"
      >
        <Printer size={18} /> Label
      </a>
      {may && (
        <button type="button" className="act" onClick={() => open('aim')}>
          <Target size={18} /> Aim
        </button>
      )}
      {may && (
        <button type="button" className="act" onClick={() => open('change')}>
          <Pencil size={18} /> Change
        </button>
      )}
    </div>
  );
}

/** The step that comes next, in words. */
function Next({ cohort, today }: { cohort: Data; today: string }) {
  const { nextTitle, nextOpens, nextCloses } = cohort;
  if (!nextTitle || !nextOpens || !nextCloses || !cohort.growing)
    return <p className="soft">No step ahead.</p>;
  const due = nextOpens <= today;
  return (
    <p>
      Next: <strong>{nextTitle}</strong>,{' '}
      <span className={due ? 'font-semibold text-accent' : ''}>
        {due ? 'due ' : ''}
        {dateSpan(nextOpens, nextCloses, today)}
      </span>
    </p>
  );
}

interface OpenedProps {
  cohort: Data;
  steps: readonly CourseStep[];
  today: string;
  open: Open;
  onClose: () => void;
}

/** The sheet that lies open over the cohort. */
function Opened({ cohort, steps, today, open, onClose }: OpenedProps) {
  return (
    <>
      {open === 'look' && (
        <RecordSheet
          step={{
            cohortId: cohort.id,
            code: cohort.code,
            taxonId: cohort.taxonId,
            stepKey: null,
            operation: null,
            part: 0,
            about: null,
            title: 'A look',
            live: cohort.live,
            pending: cohort.emerged > 0 ? 0 : cohort.pending,
            container: null,
            minutes: 0,
            rootCut: null,
            topCut: null,
            nextTime: '',
            odds: null,
          }}
          today={today}
          onClose={onClose}
        />
      )}
      {open === 'found' && (
        <VisitSheet
          cohort={{ cohortId: cohort.id, code: cohort.code, live: cohort.live, pending: cohort.pending }}
          step={null}
          steps={steps.filter((s) => s.status === 'planned' && s.chain === null)}
          today={today}
          onClose={onClose}
        />
      )}
      {open === 'aim' && <RetargetSheet cohort={cohort} today={today} onClose={onClose} />}
      {open === 'change' && <EditCohort cohort={cohort} onClose={onClose} />}
    </>
  );
}

/** Parts that are drawings. */
const DRAWN = ['trays', 'lineage', 'roots', 'stem', 'bends', 'fuse', 'trunk'];

const atDesk = () => window.matchMedia('(min-width: 64rem)').matches;

export function Cohort() {
  const { id = '' } = useParams();
  const { data: cohort, error } = useCohort(id);
  const today = useToday();
  const [asked] = useSearchParams();
  const [open, setOpen] = useState<Open>(asked.has('aim') ? 'aim' : null);
  const steps = useCourse(id).data?.steps ?? [];
  const now = steps.find((s) => s.status === 'planned' && s.ready && s.opens! <= (today ?? ''));
  // drawings want the room
  const drawn = useMatch('/cohorts/:id/:part')?.params.part;
  const whole = drawn === undefined || !DRAWN.includes(drawn);
  if (!cohort || !today) return <Loading error={error} />;
  const t = taxon(cohort.taxonId);
  return (
    <div className="px-4 py-6 lg:px-6">
      <header className="cohort-head">
        <Section
          rings={cohort.rings}
          season={seasonYear(today)}
          containerId={cohort.container}
          target={cohort.goalCaliper}
          size={whole && atDesk() ? 132 : 76}
        />
        <div className="cohort-name">
          <h1 className="text-3xl">
            {cohort.code}
            {cohort.tag && (
              <span className="soft ml-3 font-sans text-base font-normal">tag {cohort.tag}</span>
            )}
          </h1>
          {cohort.formerly.length > 0 && <p className="soft">formerly {cohort.formerly.join(', ')}</p>}
          <p className="soft flex flex-wrap gap-x-3 text-lg">
            <span>
              {t.name}, <i>{t.botanical}</i>
            </span>{' '}
            <strong className="text-base-content">{countWords(cohort)}</strong>
          </p>
        </div>
        <Acts cohort={cohort} now={now} small={!whole} open={setOpen} />
        <div className="cohort-next grid gap-3">
          <Next cohort={cohort} today={today} />
          <SettleKind cohort={cohort} />
          {cohort.quarantine && (
            <div className="bg-[var(--slip)] px-4 py-3">
              <Held held={cohort.quarantine} cohortId={cohort.id} today={today} />
            </div>
          )}
          {whole && (
            // in one hand what is due comes first
            <details open={atDesk()}>
              <summary className="min-h-11 cursor-pointer py-2 font-semibold lg:hidden">
                About {cohort.code}
              </summary>
              <About cohort={cohort} today={today} />
            </details>
          )}
        </div>
      </header>
      <div className="mb-5">
        <Parts of="the cohort" parts={partsOf(cohort)} />
      </div>
      <Outlet context={cohort} />
      <Opened cohort={cohort} steps={steps} today={today} open={open} onClose={() => setOpen(null)} />
    </div>
  );
}
