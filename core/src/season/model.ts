import { placeInYear, seasonSpan, type Day } from '../calendar/index.ts';
import { indoors, type Climate } from './climate.ts';
import { coldSpells, type ChanceDay, type ColdSpells } from './cold.ts';
import { degreeDays } from './degree-days.ts';
import { kept, kept2 } from './kept.ts';
import type { Fixed } from './marker-rules.ts';
import { markersFrom, type Marker, type SeasonMarkers } from './markers.ts';
import { outdoorsOf, outlookOf, type Outlook } from './outlook.ts';
import { siteYears, type SiteYears } from './site-years.ts';
import { atPlace, type WeatherRun } from './weather.ts';

/** What climate and record alone say of a place, worked out once and kept; sights are laid on top of it. */
export interface SeasonModel {
  /** markers of a season when some are fixed by what was seen */
  modelled: (year: number, fixed: Fixed) => SeasonMarkers;
  years: (year: number) => WeatherRun[];
  coldBelow: (threshold: number, year: number) => ColdSpells;
  warmthBy: (from: Day, degreeDays: number, base?: number) => Day | null;
  outlook: (day: Day) => Outlook;
  outdoors: (day: Day) => Outlook;
}

export const moved = (m: Marker, by: number): Marker =>
  m.kind === 'days' ? { ...m, p02: m.p02 + by, p10: m.p10 + by, p50: m.p50 + by, p90: m.p90 + by } : m;

const laterBy = (d: ChanceDay, by: number): ChanceDay => ({
  p01: d.p01 + by,
  p02: d.p02 + by,
  p10: d.p10 + by,
  p50: d.p50 + by,
  p90: d.p90 + by,
  share: d.share,
});

/** Moves a season's markers to another year without drawing the weather again. */
const shifted = (markers: SeasonMarkers, by: number): SeasonMarkers =>
  Object.fromEntries(Object.entries(markers).map(([name, m]) => [name, moved(m, by)])) as SeasonMarkers;

/** What the climate alone says of a season: the same for every year, moved to it. */
export interface OrdinarySeasons {
  markers: (year: number) => SeasonMarkers;
  years: (year: number) => WeatherRun[];
  coldBelow: (threshold: number, year: number) => ColdSpells;
}

/** The year that is drawn for all that no record reaches; one for all, so that it matters not which is asked for first. */
const DRAWN = 2001;

/** The drawn years of a season as the place feels them. */
const atThePlace = (c: Climate, site: SiteYears, year: number): WeatherRun[] =>
  Array.from({ length: site.count }, (_, luck) => atPlace(c, site.run(year, luck)));

/** `site`: the weather of a site without a record. Nothing is worked out before it is asked for. */
export function ordinarySeasons(c: Climate, site: SiteYears = siteYears(c)): OrdinarySeasons {
  const drawn = seasonSpan(DRAWN, c.hemisphere);
  const by = (year: number): number => seasonSpan(year, c.hemisphere).from - drawn.from;
  const once = kept((year: number) => markersFrom(c, site, year));
  const runs = kept((year: number) => atThePlace(c, site, year));
  const spells = kept((threshold: number) => coldSpells(site.nights(DRAWN), drawn, threshold, c.offset));
  return {
    markers: kept((year: number) => shifted(once(DRAWN), by(year))),
    years: kept((year: number) => runs(DRAWN).map((r) => ({ ...r, from: r.from + by(year) }))),
    coldBelow: kept2((threshold: number, year: number) => {
      const { first, last, safe } = spells(threshold);
      return { first: first && laterBy(first, by(year)), last: last && laterBy(last, by(year)), safe };
    }),
  };
}

/** What was worked out for other places of the site, or for another state of the record. */
export interface SharedSeasons {
  /** the site's weather joined to the same record */
  site?: SiteYears;
  ordinary?: OrdinarySeasons;
}

/** What climate and record say of a place's seasons, worked out as it is asked for. */
export function seasonModel(
  c: Climate,
  known?: WeatherRun,
  {
    site = siteYears(c, known),
    ordinary = ordinarySeasons(c, siteYears(c, undefined, site.count)),
  }: SharedSeasons = {},
): SeasonModel {
  const { reaches } = site;
  const markers = kept((key: string): SeasonMarkers => {
    const { year, fixed } = JSON.parse(key) as { year: number; fixed: Fixed };
    if (!reaches(year) && Object.keys(fixed).length === 0) return ordinary.markers(year);
    return markersFrom(c, site, year, fixed);
  });
  const drawn = kept((year: number) => atThePlace(c, site, year));
  const cold = kept2((threshold: number, year: number): ColdSpells =>
    reaches(year)
      ? coldSpells(site.nights(year), seasonSpan(year, c.hemisphere), threshold, c.offset)
      : ordinary.coldBelow(threshold, year),
  );

  // ordinary warmth above a base from 1 January of one year on, over three years: running totals
  const warmth = kept((base: number) => {
    const sums = new Float64Array(3 * 365 + 1);
    for (let d = 0; d < 3 * 365; d++)
      sums[d + 1] = sums[d] + degreeDays(...indoors(c.offset, c.tmin[d % 365], c.tmax[d % 365]), base);
    return sums;
  });

  return {
    modelled: (year, fixed) => markers(JSON.stringify({ year, fixed })),
    years: (year) => (reaches(year) ? drawn(year) : ordinary.years(year)),
    coldBelow: cold,
    warmthBy(from, wanted, base = 5) {
      const sums = warmth(base);
      const at = placeInYear(from + 1);
      let low = at;
      let high = at + 730;
      if (sums[high] - sums[at] < wanted) return null;
      while (low < high) {
        const mid = (low + high) >> 1;
        if (sums[mid] - sums[at] >= wanted) high = mid;
        else low = mid + 1;
      }
      return from + low - at;
    },
    outlook: kept(outlookOf(c, known)),
    outdoors: kept(outdoorsOf(c, known)),
  };
}
