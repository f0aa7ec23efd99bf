/** What stands for a name and password that are kept and not shown. */
const HIDDEN = '***';

/** An address as it is shown: with no name or password in it. */
export function shownAddress(url: string | null): string | null {
  if (url === null) return null;
  const u = new URL(url);
  if (!u.username && !u.password) return url;
  [u.username, u.password] = [HIDDEN, ''];
  return u.href;
}

/** An address as it was typed; where what was shown comes back, what was kept stays. */
export const keptAddress = (typed: string | null, kept: string | null): string | null =>
  typed !== null && typed === shownAddress(kept) ? kept : typed;
