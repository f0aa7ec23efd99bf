import { string, type InferType } from 'yup';
import { body, id, measure, name, text } from './fields.ts';
import { siteFields } from './nursery.ts';

export const ROLES = ['helper', 'grower', 'owner'] as const;
export type Role = (typeof ROLES)[number];
const role = () => string().oneOf(ROLES, 'is helper, grower or owner').required('is missing');
const password = () => name(200).min(10, 'is shorter than 10 letters');

export const signIn = body({ name: name(80), password: text(200).required('is missing') });
export const enterDemo = body({ role: role() });
export const firstOwner = body({
  name: name(80),
  password: password(),
  nursery: name(80),
  ...siteFields(),
});
export const newPerson = body({ id: id(), name: name(80), role: role(), password: password() });
export const editPerson = body({ id: id(), version: measure(1, 1e9, '').required(), role: role() });

export type SignIn = InferType<typeof signIn>;
export type FirstOwner = InferType<typeof firstOwner>;
export type NewPerson = InferType<typeof newPerson>;
export type EditPerson = InferType<typeof editPerson>;

export interface Person {
  id: string;
  name: string;
  role: Role;
  version: number;
}

/** What the interface knows of the visitor before and after signing in. */
export interface Session {
  person: Person | null;
  /** goes back in the x-csrf-token header of every write */
  csrf: string;
  demo: boolean;
  /** no owner yet: the first visit makes one */
  empty: boolean;
}
