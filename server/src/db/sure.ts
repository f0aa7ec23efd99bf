/**
 * A row that is known to be there: its key was just locked, inserted or checked. Throws where it is not, which is a
 * fault of ours and never of who asked.
 * @example const { live } = await sure(trx('cohort').where({ id }).first('live'));
 */
export async function sure<Query extends PromiseLike<unknown>>(
  query: Query,
): Promise<NonNullable<Awaited<Query>>> {
  const row = await query;
  if (row === undefined || row === null) throw new Error('a row that was known to be there is not');
  return row;
}
