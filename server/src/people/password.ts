import argon2 from 'argon2';
import common from 'fxa-common-password-list';
import { wrongField } from '../http/problem.ts';

/** Argon2id with the library's defaults, which follow RFC 9106's second recommended setting. */
export const hashPassword = (password: string): Promise<string> => argon2.hash(password);

/** Refuses passwords that are tried first: those of a published list of common ones, in any case of letters. */
export function refuseCommon(password: string, field = 'password'): void {
  if (common.test(password) || common.test(password.toLowerCase()))
    throw wrongField(field, 'is among the passwords that are tried first: choose another');
}

/** Takes as long for a name that is not there as for one that is. */
const nobody = hashPassword('no one has this password');
export async function passwordFits(hash: string | null | undefined, password: string): Promise<boolean> {
  const fits = await argon2.verify(hash ?? (await nobody), password);
  return fits && Boolean(hash);
}
