/** Largest file taken, bytes; what is kept is resized to at most this many pixels a side. */
export const MOST_BYTES = 12 * 1024 * 1024;
export const LONGEST_SIDE = 1600;
export const THUMB_SIDE = 320;

export interface PictureRow {
  id: string;
  cohortId: string;
  recordId: string | null;
  on: string;
  width: number;
  height: number;
  note: string;
  by: string;
}
