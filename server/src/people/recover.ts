import { randomBytes } from 'node:crypto';
import { audit } from '../audit/store.ts';
import { migrate, openDatabase } from '../db/index.ts';
import { hashPassword } from './password.ts';
import { endSessionsOf } from './store.ts';

/** Gives an owner a new password at the machine itself, and lets them in again; run by `npm run owner`. */
const name = process.argv[2] ?? '';
const url = process.env.GONIMOS_DATABASE_URL;
if (!url) throw new Error('GONIMOS_DATABASE_URL is not set');
await migrate(url);
const db = openDatabase(url, 1);
const password = randomBytes(12).toString('base64url');
const passwordHash = await hashPassword(password);
const found = await db.transaction(async (trx) => {
  const person = await trx('person').where({ name, role: 'owner' }).forUpdate().first('id');
  if (!person) return false;
  await trx('person')
    .where({ id: person.id })
    .update({ passwordHash: passwordHash, disabledAt: null, version: trx.raw('version + 1') });
  await trx('failed_sign_in').where({ name }).delete();
  await endSessionsOf(trx, person.id);
  await audit(trx, null, 'people', `${name} was given a new password at the machine`);
  return true;
});
const owners: string[] = await db('person').where({ role: 'owner' }).orderBy('name').pluck('name');
await db.destroy();
if (found)
  console.log(`${name} signs in with this password, shown only here; change it then:\n\n  ${password}\n`);
else console.error(`${name} is no owner here. Owners are: ${owners.join(', ') || 'none'}`);
process.exitCode = found ? 0 : 1;
