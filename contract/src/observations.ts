import { OBSERVATION_KINDS, type ObservationKind } from '@gonimos/core/season';
import { string, type InferType } from 'yup';
import { body, date, id, optionalTaxonId, text } from './fields.ts';

/** Something seen of the season: by one kind of plant, or of the place as a whole. */
export const newObservation = body({
  id: id(),
  placeId: id(),
  taxonId: optionalTaxonId(),
  kind: string<ObservationKind>()
    .oneOf(OBSERVATION_KINDS, 'is nothing that is watched for')
    .required('is missing'),
  on: date(),
  note: text(500).default(''),
});
export const withdrawObservation = body({ id: id() });
export type NewObservation = InferType<typeof newObservation>;

export interface ObservationRow {
  id: string;
  placeId: string;
  taxonId: string | null;
  kind: ObservationKind;
  season: number;
  on: string;
  /** day the model gave the marker before it was seen */
  expected: string | null;
  note: string;
  by: string;
}

export interface ObservationOutcome {
  observation: ObservationRow;
  /** cohorts whose plan moved, and the steps that moved most */
  cohorts: number;
  moved: { code: string; title: string; wasOpens: string | null; nowOpens: string | null }[];
}
