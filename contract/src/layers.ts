import type { Cut, DesignFault, LayerEvent, LayerFind, LayerState, Verdict } from '@gonimos/core/layers';
import { LAYER_EVENTS, LAYER_FINDS } from '@gonimos/core/layers';
import { array, boolean, string, type InferType } from 'yup';
import { body, code, containerId, date, id, measure, name, noneOf, text } from './fields.ts';

const layer = () =>
  body({
    id: id(),
    code: code(),
    stem: name(40),
    height: measure(20, 30_000, 'mm').integer('is not a whole number').required('is missing'),
    diameter: measure(2, 300, 'mm').required('is missing'),
    how: string().oneOf(['ring', 'tourniquet'], 'is ring or tourniquet').required('is missing'),
    /** live branches above the ring that the new tree keeps, and those left below it on the parent */
    branches: measure(0, 200, '').integer('is not a whole number').required('is missing'),
    keeps: measure(0, 200, '').integer('is not a whole number').required('is missing'),
    /** what the new tree is to be, and what the parent becomes */
    becomes: text(300).default(''),
    leaves: text(300).default(''),
  });

export const newLayers = body({
  id: id(),
  on: date(),
  goalId: id().notRequired().nullable().default(null),
  layers: array(layer()).min(1, 'is empty').max(12, 'at most 12 at once').required('is missing'),
});

/** Layers drawn but not cut yet. */
export const askLayers = body({
  on: date(),
  layers: array(layer()).max(12, 'at most 12 at once').required('is missing'),
});

/** What a look under the film showed; null: nobody looked. */
const found = () =>
  string<LayerFind>()
    .nullable()
    .default(null)
    .test('found', noneOf(LAYER_FINDS), (v) => v === null || LAYER_FINDS.some((f) => f === v));

export const newLayerEvent = body({
  id: id(),
  kind: string().oneOf(LAYER_EVENTS, noneOf(LAYER_EVENTS)).required('is missing'),
  on: date(),
  found: found(),
  /** severed: into which pot, and where it stands */
  container: containerId().nullable().default(null),
  placeId: id().notRequired().nullable().default(null),
  /** the base is split at severing */
  split: boolean().default(false),
  note: text(500).default(''),
});

/** A parent was fed. */
export const parentFed = body({ id: id(), on: date() });

/** What is told with work on a layer. */
export const layerTold = body({
  /** what a look under the film showed; null: nobody looked that day */
  found: found(),
  /** at severing: the base is split then, or once it has established; null: as its school has it */
  split: boolean().nullable().default(null),
});

export type LayerInput = InferType<ReturnType<typeof layer>>;
export type NewLayers = InferType<typeof newLayers>;
export type AskLayers = InferType<typeof askLayers>;
export type NewLayerEvent = InferType<typeof newLayerEvent>;

/** A decision with its days as dates. */
export interface DatedDecision {
  verdict: Verdict;
  fill: { p10: string; p50: string; p90: string } | null;
  /** its likeliest day has gone by, and nobody has said that it is full */
  overdue: boolean;
  opening: string;
  margin: { p10: number; p50: number; share: number } | null;
  cutOff: string | null;
  /** said plainly */
  text: string;
}

export interface Layer extends Omit<LayerInput, 'id' | 'code'> {
  cohortId: string;
  code: string;
  live: number;
  state: LayerState;
  events: (LayerEvent & { id: string; by: string })[];
  cut: Cut;
  /** as of today; of a layer opened or severed, as of that day */
  decision: DatedDecision | null;
  decidedOn: string | null;
  pot: { id: string; name: string } | null;
}

export interface ParentLayers {
  parent: { id: string; code: string; taxonId: string; base: number };
  layers: Layer[];
  faults: DesignFault[];
  /** share of the crown taken when all that hang are severed */
  crownTaken: number;
  /** the calendar of safe dates for opening a double layer here */
  calendar: { on: string; margin: { p10: number; p50: number; share: number } | null }[];
  cutOff: string | null;
  placeId: string;
}

/** The answer to layers drawn and not cut: what to cut, what is wrong, what to expect. */
export interface LayerPlan {
  cuts: (Cut & { code: string; pot: string | null; decision: DatedDecision })[];
  faults: DesignFault[];
  crownTaken: number;
}

/** A parent in the list: a cohort of one, or one with layers on it. */
export interface Parent {
  id: string;
  code: string;
  taxonId: string;
  hanging: number;
  severed: number;
}
