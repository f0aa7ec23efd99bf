import { useQuery } from '@tanstack/react-query';
import type { PictureRow } from '@gonimos/contract/pictures';
import { get, newId, sendFile } from '../common/api';
import { useUpheaval } from '../common/upheaval';

export const usePictures = (cohortId: string) =>
  useQuery({
    queryKey: ['cohort', cohortId, 'pictures'],
    queryFn: () => get<PictureRow[]>(`/cohorts/${cohortId}/pictures`),
  });

export const useAddPicture = (cohortId: string) =>
  useUpheaval(({ file, record }: { file: File; record?: string }) =>
    sendFile<{ id: string }>(
      `/cohorts/${cohortId}/pictures?picture=${newId()}${record ? `&record=${record}` : ''}`,
      file,
    ),
  );

export const pictureUrl = (id: string, size: 'full' | 'thumb' = 'full'): string =>
  `/api/pictures/${id}?size=${size}`;
