/** A share, 0..1, in whole per cent. @example percent(0.416) // '42 %' */
export const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** A count and its noun. @example plural(1, 'step') // '1 step'; plural(3, 'batch', 'batches') // '3 batches' */
export const plural = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;

/** Cents in the nursery’s own money, which is not named. @example money(1240) // '12.40' */
export const money = (cents: number): string => (cents / 100).toFixed(2);
