/** PostgreSQL's code of an error, five letters or digits; null when it is none of the database's. */
export const codeOf = (e: unknown): string | null => {
  const code = e instanceof Error && 'code' in e ? e.code : null;
  return typeof code === 'string' && /^[0-9A-Z]{5}$/.test(code) ? code : null;
};

/** Two transactions stood in each other's way; the database rolled this one back. */
export const meet = (e: unknown): boolean => ['40001', '40P01'].includes(codeOf(e) ?? '');

const LOST = /Connection terminated|connection.*(closed|ended)|Client has encountered a connection error/i;
const NETWORK = new Set(['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ETIMEDOUT', 'ENOTFOUND', 'EAI_AGAIN']);

/** The database cannot be reached, is starting or stopping, or has no connection free. */
export function isAway(e: unknown): boolean {
  if (!(e instanceof Error)) return false;
  const code = codeOf(e);
  if (code) return code.startsWith('08') || code.startsWith('57P') || code === '53300';
  const network = 'code' in e && NETWORK.has(String(e.code));
  return network || e.name === 'KnexTimeoutError' || LOST.test(e.message);
}
