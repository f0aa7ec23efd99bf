import type { AnyObject, InferType, Maybe, ObjectSchema } from 'yup';
import { standingKept, standingTold } from './cohorts.ts';
import { paceKept, paceTold } from './pace.ts';
import { potKept, potTold } from './pots.ts';
import { pottingKept, pottingTold } from './containers.ts';
import { cuttingsKept } from './cuttings.ts';
import { body } from './fields.ts';
import { fittingsTold } from './fittings.ts';
import { groupKept, groupTold } from './fusing.ts';
import { layerTold } from './layers.ts';
import { looksKept, looksTold } from './looks.ts';
import { missedKept } from './missed.ts';
import { mixTold } from './mixes.ts';
import { moveKept } from './moves.ts';
import { rootsTold } from './roots.ts';
import { emergenceTold } from './seed.ts';
import { shelterKept } from './shelter.ts';
import { sizesKept, sizesTold } from './sizes.ts';
import { sproutsTold } from './sprouts.ts';
import { stemTold } from './stem.ts';
import { survivalKept, survivalTold } from './survival.ts';
import { traysKept } from './trays.ts';
import { visitKept } from './visits.ts';

const maybe = <T extends Maybe<AnyObject>>(schema: ObjectSchema<T>) => schema.optional().default(undefined);

/** What the subjects may be told with a record, by subject. A new subject adds its line here and below. */
export const toldDetails = body({
  emergence: maybe(emergenceTold),
  sizes: maybe(sizesTold),
  potting: maybe(pottingTold),
  standing: maybe(standingTold),
  survival: maybe(survivalTold),
  looks: maybe(looksTold),
  layer: maybe(layerTold),
  fittings: maybe(fittingsTold),
  pace: maybe(paceTold),
  pot: maybe(potTold),
  roots: maybe(rootsTold),
  sprouts: maybe(sproutsTold),
  stem: maybe(stemTold),
  mix: maybe(mixTold),
  group: maybe(groupTold),
});

/** What they keep in it. Emergence is kept by the ledger. */
export const keptDetails = body({
  sizes: maybe(sizesKept),
  potting: maybe(pottingKept),
  standing: maybe(standingKept),
  survival: maybe(survivalKept),
  looks: maybe(looksKept),
  layer: maybe(layerTold),
  cuttings: maybe(cuttingsKept),
  trays: maybe(traysKept),
  visit: maybe(visitKept),
  move: maybe(moveKept),
  missed: maybe(missedKept),
  fittings: maybe(fittingsTold),
  shelter: maybe(shelterKept),
  pace: maybe(paceKept),
  pot: maybe(potKept),
  roots: maybe(rootsTold),
  sprouts: maybe(sproutsTold),
  stem: maybe(stemTold),
  mix: maybe(mixTold),
  group: maybe(groupKept),
});

export type ToldDetails = InferType<typeof toldDetails>;
export type KeptDetails = InferType<typeof keptDetails>;
