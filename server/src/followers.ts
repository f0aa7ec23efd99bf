import { pottingFollower } from './cohorts/potting.ts';
import { standingFollower } from './cohorts/standing.ts';
import { fittingsFollower } from './fittings/follow.ts';
import { fusingFollower } from './fusing/follow.ts';
import { layersFollower, severingFollower } from './layers/follow.ts';
import { mixFollower } from './mixes/follow.ts';
import { looksFollower } from './looks/follow.ts';
import { paceFollower } from './pace/follow.ts';
import { potsFollower } from './pots/follow.ts';
import { coverFollower, emergenceFollower } from './seed/follow.ts';
import { rootsFollower } from './roots/follow.ts';
import { sizesFollower } from './sizes/follow.ts';
import { startsFollower } from './starts/follow.ts';
import { sproutsFollower, stemFollower } from './stem/follow.ts';
import { survivalFollower } from './survival/follow.ts';
import { traysFollower } from './trays/follow.ts';
import { visitsFollower } from './visits/follow.ts';
import type { Follower } from './write/types.ts';

/** What the subjects do when work is recorded. A new subject adds its line; what is potted is counted last. */
export const FOLLOWERS: readonly Follower[] = [
  sizesFollower,
  looksFollower,
  rootsFollower,
  stemFollower,
  paceFollower,
  fittingsFollower,
  emergenceFollower,
  traysFollower,
  survivalFollower,
  sproutsFollower,
  severingFollower,
  fusingFollower,
  pottingFollower,
  standingFollower,
  mixFollower,
  potsFollower,
  layersFollower,
  coverFollower,
  startsFollower,
  visitsFollower,
];
