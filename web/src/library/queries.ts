import { useMutation, useQuery } from '@tanstack/react-query';
import type {
  ProgrammeRow,
  ProgrammeVersion,
  RetargetAnswer,
  RetargetCohort,
  SaveProgramme,
} from '@gonimos/contract/library';
import type { LetGo, OwnLibrary, OwnVersion, SaveOperation, SaveTaxon } from '@gonimos/contract/own';
import type { Outcome } from '@gonimos/contract/outcome';
import { PROGRAMMES, type Programme } from '@gonimos/core/programmes';
import { call, get, newId } from '../common/api';
import { useWrite, type Unsent } from '../common/write';

export const useProgrammes = () =>
  useQuery({ queryKey: ['programmes'], queryFn: () => get<ProgrammeRow[]>('/programmes') });
export const useProgramme = (id: string | null) =>
  useQuery({
    queryKey: ['programmes', id],
    queryFn: () => get<ProgrammeVersion>(`/programmes/${id}`),
    enabled: id !== null,
  });

/** Every programme in full: the nursery's own, then the library's. */
export function useAllProgrammes(): (Programme & { own: boolean })[] {
  const own =
    useQuery({ queryKey: ['programmes', 'own'], queryFn: () => get<ProgrammeVersion[]>('/own-programmes') })
      .data ?? [];
  const ids = new Set(own.map((o) => o.programme.id));
  return [
    ...own.map((o) => ({ ...o.programme, own: true })),
    ...PROGRAMMES.filter((p) => !ids.has(p.id)).map((p) => ({ ...p, own: false })),
  ];
}

export const useSaveProgramme = () =>
  useWrite((p: Unsent<SaveProgramme>, id) =>
    call<{ id: string; version: number }>('POST', '/programmes', { ...p, id }),
  );
export const useOwnLibrary = () =>
  useQuery({ queryKey: ['own library'], queryFn: () => get<OwnLibrary>('/own-library') });
export const useOwnVersions = () =>
  useQuery({
    queryKey: ['own library', 'versions'],
    queryFn: () => get<OwnVersion[]>('/own-library/versions'),
  });

interface Kept {
  id: string;
  version: number;
}
export const useSaveOperation = (draft?: string) =>
  useWrite((s: Unsent<SaveOperation>, id) => call<Kept>('POST', '/own-operations', { ...s, id }), draft);
export const useSaveTaxon = (draft?: string) =>
  useWrite((s: Unsent<SaveTaxon>, id) => call<Kept>('POST', '/own-taxa', { ...s, id }), draft);
export const useLetGo = () =>
  useWrite((s: Unsent<LetGo>, id) => call<Kept>('POST', '/own-library/let-go', { ...s, id }));
export const useTryRetarget = () =>
  useMutation({
    mutationFn: (r: Unsent<RetargetCohort>) =>
      call<RetargetAnswer>('POST', '/calc/retarget', { ...r, id: newId() }),
  });
export const useRetarget = () =>
  useWrite((r: Unsent<RetargetCohort>, id) => call<Outcome>('POST', '/retargets', { ...r, id }));
