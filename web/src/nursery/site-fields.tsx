import { typed } from '../common/numbers';
import type { FieldErrors, UseFormRegister } from 'react-hook-form';
import type { TypicalClimate } from '@gonimos/core/climates';
import { monthName } from '../common/dates';
import { Field } from '../common/field';

/** A site as it is typed: everything is text until it is sent. */
export interface SiteInputs {
  latitude: string;
  longitude: string;
  elevation: string;
  timeZone: string;
  tmin: string[];
  tmax: string[];
  spreadWinter: string;
  spreadSummer: string;
  wetFrom: string;
}

export const toSite = (v: SiteInputs) => ({
  latitude: typed(v.latitude),
  longitude: typed(v.longitude),
  elevation: typed(v.elevation),
  timeZone: v.timeZone,
  tmin: v.tmin.map(typed),
  tmax: v.tmax.map(typed),
  spreadWinter: typed(v.spreadWinter),
  spreadSummer: typed(v.spreadSummer),
  wetFrom: v.wetFrom ? Number(v.wetFrom) : null,
});

export const siteInputs = (s: ReturnType<typeof toSite>): SiteInputs => ({
  latitude: String(s.latitude),
  longitude: String(s.longitude),
  elevation: String(s.elevation),
  timeZone: s.timeZone,
  tmin: s.tmin.map(String),
  tmax: s.tmax.map(String),
  spreadWinter: String(s.spreadWinter),
  spreadSummer: String(s.spreadSummer),
  wetFrom: s.wetFrom === null ? '' : String(s.wetFrom),
});

/** The inputs of a site once a typical climate is chosen: where on the globe it lies east or west stays as typed. */
export const climateInputs = (now: SiteInputs, c: TypicalClimate): SiteInputs =>
  siteInputs({ ...toSite(now), ...c, longitude: toSite(now).longitude, timeZone: now.timeZone });

interface Props<T extends SiteInputs> {
  register: UseFormRegister<T>;
  errors: FieldErrors<SiteInputs>;
}

/** Where the nursery is and what its weather is like in an ordinary year. */
export function SiteFields<T extends SiteInputs>({ register, errors }: Props<T>) {
  const reg = register as unknown as UseFormRegister<SiteInputs>;
  const months = Array.from({ length: 12 }, (_, i) => monthName(`2001-${String(i + 1).padStart(2, '0')}-01`));
  const told = (e: unknown) => (e as { message?: string } | undefined)?.message;
  return (
    <>
      <div className="grid grid-cols-2 gap-4 sm:grid-cols-4">
        <Field label="Latitude" hint="° north, south below 0" error={errors.latitude?.message}>
          <input className="input" inputMode="decimal" {...reg('latitude')} />
        </Field>
        <Field label="Longitude" hint="° east" error={errors.longitude?.message}>
          <input className="input" inputMode="decimal" {...reg('longitude')} />
        </Field>
        <Field label="Elevation" hint="m" error={errors.elevation?.message}>
          <input className="input" inputMode="decimal" {...reg('elevation')} />
        </Field>
        <Field label="Time zone" error={errors.timeZone?.message}>
          <input className="input" {...reg('timeZone')} />
        </Field>
      </div>
      <fieldset>
        <legend className="mb-1 font-semibold">Ordinary nights and days by month, °C</legend>
        <div className="grid grid-cols-3 gap-2 sm:grid-cols-6">
          {months.map((m, i) => (
            <div key={m} className="card-plain p-2">
              <p className="soft mb-1 text-sm">{m}</p>
              <input
                className="input mb-1 min-h-10 w-full px-2"
                aria-label={`${m}, mean minimum`}
                inputMode="decimal"
                {...reg(`tmin.${i}`)}
              />
              <input
                className="input min-h-10 w-full px-2"
                aria-label={`${m}, mean maximum`}
                inputMode="decimal"
                {...reg(`tmax.${i}`)}
              />
            </div>
          ))}
        </div>
        {(told(errors.tmin) ?? told(errors.tmax)) && (
          <p className="mt-1 text-sm font-semibold text-error">
            {told(errors.tmin) ? `Nights: ${told(errors.tmin)}` : `Days: ${told(errors.tmax)}`}
          </p>
        )}
      </fieldset>
      <div className="grid grid-cols-2 gap-4">
        <Field label="Spread, winter" hint="day to day, °C" error={errors.spreadWinter?.message}>
          <input className="input" inputMode="decimal" {...reg('spreadWinter')} />
        </Field>
        <Field label="Spread, summer" hint="day to day, °C" error={errors.spreadSummer?.message}>
          <input className="input" inputMode="decimal" {...reg('spreadSummer')} />
        </Field>
      </div>
      <Field label="Rains begin" hint="only where rain rules the year and not cold">
        <select className="select" {...reg('wetFrom')}>
          <option value="">no wet season rules the year here</option>
          {months.map((m, i) => (
            <option key={m} value={i + 1}>
              {m}
            </option>
          ))}
        </select>
      </Field>
    </>
  );
}
