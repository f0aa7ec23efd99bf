/** Where a value comes from; shown wherever the value shows. */
export type Basis = 'published' | 'common practice' | 'one grower' | 'from memory' | 'your data';

export interface Param {
  value: number;
  unit: string;
  basis: Basis;
  source?: string;
}

/** Common practice in the trade; no source. */
export const cp = (value: number, unit: string): Param => ({
  value,
  unit,
  basis: 'common practice',
});

/** A published value written down from memory; the source is named but was not at hand. */
export const memory = (value: number, unit: string, source: string): Param => ({
  value,
  unit,
  basis: 'from memory',
  source,
});
