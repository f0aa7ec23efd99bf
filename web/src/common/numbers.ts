/** A number as it was typed, with a point or a comma, with either minus; undefined when nothing was, NaN when it is none. */
export const typed = (text: string | undefined): number | undefined =>
  !text || text.trim() === '' ? undefined : Number(text.trim().replace(',', '.').replace('−', '-'));

/** As `typed`, with null for nothing. */
export const typedOrNull = (text: string | undefined): number | null => typed(text) ?? null;
