import { useMutation } from '@tanstack/react-query';
import type { CohortChange, NurserySchools } from '@gonimos/contract/schools';
import type { Choices } from '@gonimos/core/schools';
import { call } from '../common/api';
import { useWrite, type Unsent } from '../common/write';

export const useSchoolsPreview = () =>
  useMutation({
    mutationFn: (b: { cohortId: string | null; schools: Choices }) =>
      call<CohortChange[]>('POST', '/calc/schools', b),
  });
export const useNurserySchools = () =>
  useWrite((s: Unsent<NurserySchools>, id) =>
    call<{ version: number }>('PUT', '/nursery/schools', { ...s, id }),
  );
