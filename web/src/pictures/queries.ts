import { useQuery } from '@tanstack/react-query';
import type { PictureRow } from '@gonimos/contract/pictures';
import { get, sendFile } from '../common/api';
import { useWrite } from '../common/write';

export const usePictures = (cohortId: string) =>
  useQuery({
    queryKey: ['cohort', cohortId, 'pictures'],
    queryFn: () => get<PictureRow[]>(`/cohorts/${cohortId}/pictures`),
  });

export const useAddPicture = (cohortId: string) =>
  useWrite(({ file, record }: { file: File; record?: string }, id) =>
    sendFile<{ id: string }>(
      `/cohorts/${cohortId}/pictures?picture=${id}${record ? `&record=${record}` : ''}`,
      file,
    ),
  );

export const pictureUrl = (id: string, size: 'full' | 'thumb' = 'full'): string =>
  `/api/pictures/${id}?size=${size}`;
