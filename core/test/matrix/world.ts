import { TYPICAL_CLIMATES } from '@gonimos/core/climates';
import { compileCourse, type Course, type CourseFacts } from '@gonimos/core/course';
import { PROGRAMMES, suits, type Programme } from '@gonimos/core/programmes';
import { climateOf, seasonBook, unsuited, type SeasonBook, type Site } from '@gonimos/core/season';
import { TAXA, type Taxon } from '@gonimos/core/taxa';

/** Climates of the matrix: both hemispheres, cool and hot, wet and dry, without frost and without summer. */
export const IN_MATRIX = [
  'cool-maritime',
  'baltic',
  'great-lakes',
  'southern-plains',
  'pacific-coast',
  'mediterranean',
  'highland-north',
  'monsoon',
  'wet-tropics',
  'savanna-south',
  'temperate-south',
  'maritime-south',
];

export interface World {
  id: string;
  south: boolean;
  site: Site;
  outdoors: SeasonBook;
  house: SeasonBook;
}

export const worldOf = (id: string): World => {
  const site = { ...TYPICAL_CLIMATES.find((c) => c.id === id)!, longitude: 0, timeZone: 'UTC' };
  const outdoors = seasonBook(climateOf(site));
  const house = seasonBook(climateOf(site, { night: 6, day: 8, heatedTo: 16 }), undefined, {
    outside: outdoors,
  });
  return { id, south: site.latitude < 0, site, outdoors, house };
};

export interface Case {
  world: World;
  taxon: Taxon;
  programme: Programme;
  course: Course;
  book: SeasonBook;
}

export const TODAY = '2027-02-01';
export const factsOf = (t: Taxon, p: Programme, more: Partial<CourseFacts> = {}): CourseFacts => ({
  taxonId: t.id,
  programme: p,
  startedOn: TODAY,
  live: 60,
  steps: {},
  sizes: [],
  vigour: [],
  schools: { nursery: {}, cohort: {} },
  ...more,
});

/** Where a kind stands: outdoors where it does, in the heated house where only that is warm enough. */
export function placeFor(world: World, t: Taxon): SeasonBook | null {
  const house = t.phenology === 'warm-season' && world.outdoors.climate.offset.heatedTo === null;
  if (house && t.hardyTo.value > 0 && world.outdoors.coldBelow(t.hardyTo.value, 2028).first)
    return world.house;
  return [world.outdoors, world.house].find((b) => unsuited(t, b) === null) ?? null;
}

/** Every kind that does in a climate, under every programme that suits it. */
export function* casesOf(world: World): Generator<Case> {
  for (const taxon of TAXA) {
    const book = placeFor(world, taxon);
    if (!book) continue;
    for (const programme of PROGRAMMES) {
      if (!suits(programme.id, taxon)) continue;
      const course = compileCourse(factsOf(taxon, programme), book, TODAY);
      yield { world, taxon, programme, course, book };
    }
  }
}
