import { Trash2 } from 'lucide-react';
import {
  FEEDS,
  lengthOf,
  ROLE_WORDS,
  ROLES,
  STEM_PARTS,
  stemAt,
  takeOver,
  USUAL_FOLIAGE,
  VITALITIES,
  type Feeds,
  type Role,
  type StemPart,
  type StemRecord,
  type TakeOver,
  type Vitality,
} from '@gonimos/core/stem';
import { isIsoDate } from '@gonimos/core/calendar';
import { percent, plural } from '@gonimos/core/words';
import { DayInput } from '../common/day-input';
import { Field } from '../common/field';
import { MeasureInput } from '../common/measure-input';
import { NumberInput } from '../common/number-input';
import { length, unit } from '../common/units';
import { ofKind, type Act } from './sheet';

interface Props {
  part: StemPart;
  record: StemRecord;
  /** of the base, mm a season */
  ring: number;
  today: string;
  act: (a: Act) => void;
}

/** When a part that is to lead stands for itself, or what keeps it from that. */
function takeOverWords({ seasons, after, thin }: TakeOver): string {
  const sizes = (n: number) => `${length(seasons[n].minor)} of ${length(seasons[n].stem)} there`;
  if (after === 0) return `It can take over now: ${sizes(0)}. Common practice, no source.`;
  if (after !== null)
    return `It can take over after ${plural(after, 'season')}: ${sizes(after)}; now ${sizes(0)}. By its share of the crown.`;
  const why = thin > 0 ? `${percent(thin)} of what stands above it would have to go` : 'it grows too slowly';
  return `It does not take over while all above it stays: ${why}. By its share of the crown.`;
}

const FEEDS_WORDS: Record<Feeds, string> = {
  trunk: 'the trunk below it',
  roots: 'roots on its own side, as over a rock',
  layer: 'the base of the next layer',
};

interface SomeProps {
  part: StemPart;
  change: (more: Partial<StemPart>) => void;
}

/** What only a sacrifice has: since when it grows, its crown, and whom it feeds. */
function SacrificeFields({ part, today, change }: SomeProps & { today: string }) {
  return (
    <>
      <Field label="Let go since">
        <DayInput
          key={part.id}
          value={part.since ?? ''}
          max={today}
          onChange={(since) => isIsoDate(since) && change({ since })}
        />
      </Field>
      <Field label="Its crown" hint="% of a natural one">
        <NumberInput
          key={part.id}
          value={Math.round(100 * (part.foliage ?? USUAL_FOLIAGE))}
          onChange={(share) => share >= 5 && share <= 200 && change({ foliage: share / 100 })}
        />
      </Field>
      <Field label="It feeds" className="col-span-2">
        <select
          className="select"
          value={part.feeds ?? 'trunk'}
          onChange={(e) => change({ feeds: e.target.value as Feeds })}
        >
          {FEEDS.map((f) => (
            <option key={f} value={f}>
              {FEEDS_WORDS[f]}
            </option>
          ))}
        </select>
      </Field>
    </>
  );
}

/** What is told of all that lives: how it rises, and how it does. */
function LivingFields({ part, change }: SomeProps) {
  return (
    <>
      <Field label="It rises" hint="° above the horizontal">
        <NumberInput
          key={part.id}
          value={part.rise ?? NaN}
          onChange={(rise) => {
            if (Number.isNaN(rise)) change({ rise: null });
            else if (rise >= -90 && rise <= 120) change({ rise });
          }}
        />
      </Field>
      <Field label="How it does">
        <select
          className="select"
          value={part.vitality ?? ''}
          onChange={(e) => change({ vitality: (e.target.value || null) as Vitality | null })}
        >
          <option value="">not looked at</option>
          {VITALITIES.map((v) => (
            <option key={v}>{v}</option>
          ))}
        </select>
      </Field>
    </>
  );
}

/** The part in hand, in figures. */
export function PartFields({ part, record, ring, today, act }: Props) {
  const change = (more: Partial<StemPart>) => act({ do: 'part', part: { ...part, ...more } });
  return (
    <section className="card-plain grid gap-3 p-4" aria-label={`Part ${part.id}`}>
      <div className="flex items-center justify-between gap-2">
        <h3 className="text-lg">Part {part.id}</h3>
        <button
          type="button"
          className="btn btn-ghost btn-sm gap-1"
          onClick={() => act({ do: 'drop', id: part.id })}
        >
          <Trash2 size={16} /> Take it out
        </button>
      </div>
      <div className="grid grid-cols-2 gap-3">
        <Field label="What it is">
          <select
            className="select"
            value={part.kind}
            onChange={(e) =>
              act({
                do: 'part',
                part: ofKind(part, e.target.value as StemPart['kind'], stemAt(record, part.height), today),
              })
            }
          >
            {STEM_PARTS.map((k) => (
              <option key={k}>{k}</option>
            ))}
          </select>
        </Field>
        <Field label="Height" hint={`${unit('length')} above the soil`}>
          <MeasureInput
            key={part.id}
            quantity="length"
            value={part.height}
            onChange={(height) => height !== undefined && height >= 0 && change({ height })}
          />
        </Field>
        <Field label="Side" hint="° from the compass mark">
          <NumberInput
            key={part.id}
            value={Math.round(part.azimuth)}
            onChange={(azimuth) => azimuth >= 0 && azimuth <= 360 && change({ azimuth })}
          />
        </Field>
        {part.kind !== 'bud' && (
          <Field label="Thickness" hint={unit('length')}>
            <MeasureInput
              key={part.id}
              quantity="length"
              value={part.diameter}
              onChange={(diameter) => diameter !== undefined && diameter > 0 && change({ diameter })}
            />
          </Field>
        )}
        {part.kind !== 'bud' && part.kind !== 'stub' && (
          <Field label="Long" hint={`${unit('length')}; empty: about ${length(lengthOf(part))}`}>
            <MeasureInput
              key={part.id}
              quantity="length"
              value={part.long ?? undefined}
              onChange={(long) => {
                if (long === undefined) change({ long: null });
                else if (long >= 5 && long <= 20_000) change({ long });
              }}
            />
          </Field>
        )}
        {part.kind !== 'stub' && part.kind !== 'sacrifice' && (
          <Field label="It is to be">
            <select
              className="select"
              value={part.role ?? ''}
              onChange={(e) => change({ role: (e.target.value || null) as Role | null })}
            >
              <option value="">not said</option>
              {ROLES.map((r) => (
                <option key={r} value={r}>
                  {ROLE_WORDS[r]}
                </option>
              ))}
            </select>
          </Field>
        )}
        {part.kind !== 'stub' && <LivingFields part={part} change={change} />}
        {part.role === 'leader' && part.kind !== 'bud' && (
          <p className="col-span-2">{takeOverWords(takeOver(record, part, ring))}</p>
        )}
        {part.kind === 'sacrifice' && <SacrificeFields part={part} today={today} change={change} />}
      </div>
    </section>
  );
}
