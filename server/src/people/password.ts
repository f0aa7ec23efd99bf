import argon2 from 'argon2';

/** Argon2id with the library's defaults, which follow RFC 9106's second recommended setting. */
export const hashPassword = (password: string): Promise<string> => argon2.hash(password);

/** Takes as long for a name that is not there as for one that is. */
const nobody = hashPassword('no one has this password');
export async function passwordFits(hash: string | null | undefined, password: string): Promise<boolean> {
  const fits = await argon2.verify(hash ?? (await nobody), password);
  return fits && Boolean(hash);
}
