import type { ComponentType } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import type { ToldDetails } from '@gonimos/contract/details';
import type { GroupTold } from '@gonimos/contract/fusing';
import type { Fitting, Operation, Stretch } from '@gonimos/core/operations';
import type { LossInput } from '../losses';

/** Something that is put on a plant, and the day it has to be looked at. */
export interface Put {
  what: Fitting;
  note: string;
  due: string;
  stretch: Stretch | null;
}

/** The step a record is about, as the round or the course shows it; null fields for a look between steps. */
export interface Recordable {
  cohortId: string;
  code: string;
  taxonId: string;
  stepKey: string | null;
  operation: string | null;
  title: string;
  live: number;
  pending: number;
  /** plants it was done on before, in parts */
  part: number;
  /** aftercare of work done on a part of the plants is about so many; null: about all */
  about: number | null;
  container: string | null;
  minutes: number;
  rootCut: { wanted: number; limit: number; take: number } | null;
  topCut: { wanted: number; take: number } | null;
  nextTime: string;
  /** what it wants, as the round and the course tell it */
  materials?: readonly { what: string; amount: number | null; unit: string }[];
  /** filled by a plan of cuts: the drawing, the share of fine root that goes, what is left */
  roots?: {
    drawnId: string;
    /** null: nothing of it is cut */
    took: number | null;
    left: readonly string[];
  };
  /** filled by a drawing of the stem: the drawing, the share of the crown that goes, what is left */
  stem?: { drawnId: string; took: number | null; left: readonly string[]; until: string | null };
  /** stems that are set together by it, as they were turned and placed */
  group?: GroupTold;
  /** what a bench puts on the plant with the work, and what that is called */
  puts?: { title: string; lines: readonly Put[] };
  /** the model's chance that a plant lives through it, 0..1; null when the work is not severe */
  odds: number | null;
}

/** Everything typed into the sheet; what the subjects ask stands under `details`, by subject, as text. */
export interface Inputs {
  on: string;
  done: string;
  finished: boolean;
  /** each line keeps its id, so that sending again after silence is the same request */
  losses: LossInput[];
  minutes: string;
  note: string;
  nextTime: string;
  meant: boolean;
  details: Record<string, Record<string, string>>;
}

export type Typed = Record<string, string>;

/** A subject's part of the sheet. A new subject writes one of these and adds it to the list. */
export interface Ask {
  /** its name in the record's details, and in the form */
  subject: keyof ToldDetails;
  /** what is counted comes before the losses, all else after */
  counts?: boolean;
  /** seldom told with the work: under More, but in a look */
  more?: boolean;
  asked: (op: Operation | null, step: Recordable) => boolean;
  first: (step: Recordable) => Typed;
  Fields: ComponentType<{
    step: Recordable;
    op: Operation | null;
    form: UseFormReturn<Inputs>;
    /** what is wrong with one of its inputs */
    fault: (name: string) => string | undefined;
  }>;
  /** what is told; null when nothing was typed */
  told: (v: Typed) => ToldDetails[keyof ToldDetails] | null;
}

export const NUMBER = { className: 'input', inputMode: 'numeric' as const, autoComplete: 'off' };

/** Lines that were typed, one each; empty ones are none. */
export const linesOf = (text: string | undefined): string[] =>
  (text ?? '')
    .split('\n')
    .map((l) => l.trim())
    .filter((l) => l !== '');
