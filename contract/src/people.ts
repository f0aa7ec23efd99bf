import { boolean, string, type InferType } from 'yup';
import { UNIT_SYSTEMS, type UnitSystem } from '@gonimos/core/units';
import { body, id, name, noneOf, text, version } from './fields.ts';
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
export const editPerson = body({ id: id(), version: version(), role: role() });
export const disablePerson = body({
  id: id(),
  version: version(),
  disabled: boolean().required('is missing'),
});
/** An owner gives somebody a new password. */
export const resetPassword = body({ id: id(), version: version(), password: password() });
/** One's own, with the one it replaces. */
export const changePassword = body({
  id: id(),
  current: text(200).required('is missing'),
  password: password(),
});
/** The units one reads and types measures in. */
export const chooseUnits = body({
  id: id(),
  units: string().oneOf(UNIT_SYSTEMS, noneOf(UNIT_SYSTEMS)).required('is missing'),
});
export const endSession = body({ id: id() });

export type SignIn = InferType<typeof signIn>;
export type FirstOwner = InferType<typeof firstOwner>;
export type NewPerson = InferType<typeof newPerson>;
export type EditPerson = InferType<typeof editPerson>;
export type DisablePerson = InferType<typeof disablePerson>;
export type ResetPassword = InferType<typeof resetPassword>;
export type ChangePassword = InferType<typeof changePassword>;

export interface Person {
  id: string;
  name: string;
  role: Role;
  version: number;
}

/** Someone as the owner sees them: with whether they may still enter. */
export interface PersonRow extends Person {
  disabled: boolean;
}

/** A place somebody is signed in. */
export interface SessionRow {
  /** the hash of its id */
  hash: string;
  name: string;
  agent: string;
  since: string;
  seen: string;
  /** the one that asks */
  own: boolean;
}

/** What the interface knows of the visitor before and after signing in. */
export interface Session {
  person: Person | null;
  /** goes back in the x-csrf-token header of every write */
  csrf: string;
  demo: boolean;
  /** the units the person reads and types measures in */
  units: UnitSystem;
  /** no owner yet: the first visit makes one */
  empty: boolean;
}
