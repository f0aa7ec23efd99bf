/**
 * What a nursery writes of its own over the library: operations and taxa, each made from one of the library's. What
 * an operation means to the rules, and what a kind is called by programmes written for it, stays as in the one it
 * was made from; figures that differ from it are the nursery's own data.
 */
import {
  CONTAINERS,
  containerFaults,
  holdContainers,
  kindOf,
  type ContainerEdit,
  type ContainerKind,
} from '../containers/index.ts';
import { holdOperations, OPERATIONS, type Operation, type Windows } from '../operations/index.ts';
import type { Param } from '../params/index.ts';
import { holdTaxa, TAXA, type SowTime, type Taxon } from '../taxa/index.ts';

/** What may be changed of an operation. Shares 0..1, rests in growing seasons, minutes a plant, nights in °C. */
export interface OperationEdit extends Pick<Operation, 'name' | 'windows' | 'crew' | 'skilled' | 'tools'> {
  rootLoss: number;
  topLoss: number;
  recovery: number;
  /** growing seasons the plant must have stood; null: it need not */
  established: number | null;
  /** coldest night borne in the three nights after; null: any */
  guard: number | null;
  minutes: number;
  /** operations that follow it, of those that follow the one it was made from */
  aftercare: string[];
  /** said besides the caution of the one it was made from */
  caution: string;
}

/** What may be changed of a taxon. Nights in °C, warmth in °C·d above 5 °C, cold and warm in days, keeping in years. */
export interface TaxonEdit extends Pick<
  Taxon,
  | 'botanical'
  | 'name'
  | 'code'
  | 'group'
  | 'phenology'
  | 'buds'
  | 'pace'
  | 'bark'
  | 'sproutsOld'
  | 'roots'
  | 'layering'
> {
  hardyTo: number;
  emergence: number;
  stratification: number;
  /** 0: none */
  warmStratification: number;
  scarify: boolean;
  /** null: it keeps, and is sown when its cold is over */
  sown: SowTime | null;
  keeps: number;
  caution: string;
}

interface Made {
  id: string;
  /** the library's it was made from: itself, where that is held over */
  like: string;
  version: number;
}
export interface OwnOperation extends Made {
  kind: 'operation';
  edit: OperationEdit;
}
export interface OwnTaxon extends Made {
  kind: 'taxon';
  edit: TaxonEdit;
}
export interface OwnContainer extends Made {
  kind: 'container';
  edit: ContainerEdit;
}
export type Own = OwnOperation | OwnTaxon | OwnContainer;

/** A figure as the library has it, or the nursery's own where it differs. */
const figure = (library: Param, now: number): Param =>
  library.value === now ? library : { value: now, unit: library.unit, basis: 'your data' };
const fresh = (value: number, unit: string): Param => ({ value, unit, basis: 'your data' });
const optional = (library: Param | undefined, now: number | null, unit: string): Param | undefined =>
  now === null ? undefined : library ? figure(library, now) : fresh(now, unit);
const cautions = (library: string | undefined, own: string): string | undefined =>
  [library, own.trim()].filter(Boolean).join(' ') || undefined;
const madeFrom = (own: Made) => (own.like === own.id ? {} : { like: own.like });

function ofLibrary<T extends { id: string }>(all: readonly T[], id: string): T {
  const found = all.find((x) => x.id === id);
  if (!found) throw new RangeError(`not of the library: ${id}`);
  return found;
}

/** An operation as the library has it, whatever is held over it. Throws RangeError when it has none of that id. */
export const libraryOperation = (id: string): Operation => ofLibrary(OPERATIONS, id);
/** A taxon as the library has it, whatever is held over it. Throws RangeError when it has none of that id. */
export const libraryTaxon = (id: string): Taxon => ofLibrary(TAXA, id);

/** An operation of one's own as the rules read it. Throws RangeError when it was made from none of the library's. */
export function operationOfOwn(own: OwnOperation): Operation {
  const { edit } = own;
  const base = libraryOperation(own.like);
  return {
    ...base,
    ...madeFrom(own),
    id: own.id,
    name: edit.name,
    windows: edit.windows,
    crew: edit.crew,
    skilled: edit.skilled,
    tools: edit.tools,
    rootLoss: figure(base.rootLoss, edit.rootLoss),
    topLoss: figure(base.topLoss, edit.topLoss),
    recovery: figure(base.recovery, edit.recovery),
    minutes: figure(base.minutes, edit.minutes),
    established: optional(base.established, edit.established, 'growing seasons'),
    guard: optional(base.guard, edit.guard, '°C'),
    aftercare: base.aftercare.filter((c) => edit.aftercare.includes(c.operation)),
    caution: cautions(base.caution, edit.caution),
  };
}

/** A taxon of one's own as the rules read it. Throws RangeError when it was made from none of the library's. */
export function taxonOfOwn(own: OwnTaxon): Taxon {
  const { edit } = own;
  const base = libraryTaxon(own.like);
  const { scarify: _scarify, sown: _sown, warmStratification: warm, ...rest } = base;
  return {
    ...rest,
    ...madeFrom(own),
    id: own.id,
    botanical: edit.botanical,
    name: edit.name,
    code: edit.code,
    group: edit.group,
    phenology: edit.phenology,
    buds: edit.buds,
    pace: edit.pace,
    bark: edit.bark,
    sproutsOld: edit.sproutsOld,
    roots: edit.roots,
    layering: edit.layering,
    hardyTo: figure(base.hardyTo, edit.hardyTo),
    emergence: figure(base.emergence, edit.emergence),
    stratification: figure(base.stratification, edit.stratification),
    keeps: figure(base.keeps, edit.sown ? 0 : edit.keeps),
    ...(edit.warmStratification > 0
      ? { warmStratification: optional(warm, edit.warmStratification, 'days') }
      : {}),
    ...(edit.scarify ? { scarify: true as const } : {}),
    ...(edit.sown ? { sown: edit.sown } : {}),
    caution: cautions(base.caution, edit.caution),
  };
}

/** What is said besides the library's caution. */
const besides = (caution: string | undefined, library: string | undefined): string =>
  (caution ?? '').slice(library?.length ?? 0).trim();

/** An operation as it may be edited. */
export function editOfOperation(o: Operation): OperationEdit {
  const base = libraryOperation(o.like ?? o.id);
  return {
    name: o.name,
    windows: o.windows,
    crew: o.crew,
    skilled: o.skilled,
    tools: o.tools,
    rootLoss: o.rootLoss.value,
    topLoss: o.topLoss.value,
    recovery: o.recovery.value,
    established: o.established?.value ?? null,
    guard: o.guard?.value ?? null,
    minutes: o.minutes.value,
    aftercare: [...new Set(o.aftercare.map((a) => a.operation))],
    caution: besides(o.caution, base.caution),
  };
}

/** A taxon as it may be edited. */
export function editOfTaxon(t: Taxon): TaxonEdit {
  const base = libraryTaxon(t.like ?? t.id);
  return {
    botanical: t.botanical,
    name: t.name,
    code: t.code,
    group: t.group,
    phenology: t.phenology,
    buds: t.buds,
    pace: t.pace,
    bark: t.bark,
    sproutsOld: t.sproutsOld,
    roots: t.roots,
    layering: t.layering,
    hardyTo: t.hardyTo.value,
    emergence: t.emergence.value,
    stratification: t.stratification.value,
    warmStratification: t.warmStratification?.value ?? 0,
    scarify: t.scarify ?? false,
    sown: t.sown ?? null,
    keeps: t.keeps.value,
    caution: besides(t.caution, base.caution),
  };
}

export interface OwnFault {
  field: string;
  text: string;
}

/** Whether a window of these days could never be open. */
function neverOpen(w: Windows[keyof Windows]): boolean {
  if (!w) return false;
  if (w.kind === 'season') return w.opens[0] === w.closes[0] && w.closes[1] < w.opens[1];
  if (w.kind === 'lag' || w.kind === 'cold') return w.closes < w.opens;
  return 'days' in w && w.days < 1;
}

/** Everything wrong with an operation of one's own; an empty list means it can be planned with. */
export function faultsOfOperation(own: Pick<OwnOperation, 'id' | 'like' | 'edit'>): OwnFault[] {
  const { edit } = own;
  const base = OPERATIONS.find((o) => o.id === own.like);
  if (!base) return [{ field: 'like', text: 'is not an operation of the library' }];
  const faults: OwnFault[] = [];
  if (own.id !== own.like && OPERATIONS.some((o) => o.id === own.id))
    faults.push({ field: 'ownId', text: 'is the name of another operation of the library' });
  const windows = Object.entries(edit.windows);
  if (windows.length === 0) faults.push({ field: 'windows', text: 'need one at least' });
  for (const [group, w] of windows)
    if (neverOpen(w)) faults.push({ field: `windows.${group}`, text: 'closes before it opens' });
  for (const group of Object.keys(base.windows))
    if (!(group in edit.windows) && !('any' in edit.windows))
      faults.push({ field: `windows.${group}`, text: 'is missing: such kinds would never be worked' });
  const follows = new Set(base.aftercare.map((a) => a.operation));
  for (const id of edit.aftercare)
    if (!follows.has(id))
      faults.push({ field: 'aftercare', text: `‘${id}’ does not follow ${base.name.toLowerCase()}` });
  return faults;
}

/** Everything wrong with a taxon of one's own beside the others in force; an empty list means it can be grown. */
export function faultsOfTaxon(
  own: Pick<OwnTaxon, 'id' | 'like' | 'edit'>,
  all: readonly Taxon[],
): OwnFault[] {
  if (!TAXA.some((t) => t.id === own.like)) return [{ field: 'like', text: 'is not a taxon of the library' }];
  const faults: OwnFault[] = [];
  if (own.id !== own.like && TAXA.some((t) => t.id === own.id))
    faults.push({ field: 'ownId', text: 'is the name of another taxon of the library' });
  const others = all.filter((t) => t.id !== own.id);
  const twin = others.find((t) => t.code === own.edit.code);
  if (twin) faults.push({ field: 'code', text: `is the code of ${twin.name}` });
  if (others.some((t) => t.name.toLowerCase() === own.edit.name.trim().toLowerCase()))
    faults.push({ field: 'name', text: 'is the name of another taxon' });
  return faults;
}

/** Everything wrong with a container of one's own beside the others in force; an empty list means it can be used. */
export function faultsOfContainer(
  own: Pick<OwnContainer, 'id' | 'edit'>,
  all: readonly ContainerKind[],
): OwnFault[] {
  const faults: OwnFault[] = containerFaults(own.edit);
  if (CONTAINERS.some((c) => c.id === own.id))
    faults.push({ field: 'ownId', text: 'is the name of a container of the library' });
  if (all.some((c) => c.id !== own.id && c.name.toLowerCase() === own.edit.name.trim().toLowerCase()))
    faults.push({ field: 'name', text: 'is the name of another container' });
  return faults;
}

/** Puts what a nursery wrote over the library, in place of what was put there before. */
export function holdOwn(all: readonly Own[]): void {
  holdOperations(all.filter((o) => o.kind === 'operation').map(operationOfOwn));
  holdTaxa(all.filter((o) => o.kind === 'taxon').map(taxonOfOwn));
  holdContainers(all.filter((o) => o.kind === 'container').map((o) => kindOf(o.id, o.edit)));
}
