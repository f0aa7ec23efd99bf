import { typed } from '../common/numbers';
import type { FieldErrors, UseFormRegister } from 'react-hook-form';
import type { TypicalClimate } from '@gonimos/core/climates';
import { monthName } from '../common/dates';
import { Field } from '../common/field';
import { measureText, typedMeasure, unit, unitSystem } from '../common/units';

const typedTemperature = (text: string) => typedMeasure(text, 'temperature');
const elevationText = (metres: number | undefined): string =>
  metres !== undefined && unitSystem() === 'US' ? String(Math.round(metres / 0.3048)) : String(metres);
/** Metres above the sea, typed in metres or feet. */
function metres(text: string): number | undefined {
  if (unitSystem() === 'metric' && /^[\s\d.,−-]*$/.test(text)) return typed(text);
  const mm = typedMeasure(/[a-z'"]/i.test(text) || text.trim() === '' ? text : `${text} ft`, 'length');
  return mm === undefined ? undefined : Math.round(mm / 1000);
}

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
  elevation: metres(v.elevation),
  timeZone: v.timeZone,
  tmin: v.tmin.map(typedTemperature),
  tmax: v.tmax.map(typedTemperature),
  spreadWinter: typedMeasure(v.spreadWinter, 'difference'),
  spreadSummer: typedMeasure(v.spreadSummer, 'difference'),
  wetFrom: v.wetFrom ? Number(v.wetFrom) : null,
});

export const siteInputs = (s: ReturnType<typeof toSite>): SiteInputs => ({
  latitude: String(s.latitude),
  longitude: String(s.longitude),
  elevation: elevationText(s.elevation),
  timeZone: s.timeZone,
  tmin: s.tmin.map((t) => measureText(t, 'temperature')),
  tmax: s.tmax.map((t) => measureText(t, 'temperature')),
  spreadWinter: measureText(s.spreadWinter, 'difference'),
  spreadSummer: measureText(s.spreadSummer, 'difference'),
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
        <Field label="Elevation" hint={unitSystem() === 'US' ? 'ft' : 'm'} error={errors.elevation?.message}>
          <input className="input" inputMode="decimal" {...reg('elevation')} />
        </Field>
        <Field label="Time zone" error={errors.timeZone?.message}>
          <input className="input" {...reg('timeZone')} />
        </Field>
      </div>
      <fieldset>
        <legend className="mb-1 font-semibold">
          Ordinary nights and days by month, {unit('temperature')}
        </legend>
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
        <Field
          label="Spread, winter"
          hint={`day to day, ${unit('difference')}`}
          error={errors.spreadWinter?.message}
        >
          <input className="input" inputMode="decimal" {...reg('spreadWinter')} />
        </Field>
        <Field
          label="Spread, summer"
          hint={`day to day, ${unit('difference')}`}
          error={errors.spreadSummer?.message}
        >
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
