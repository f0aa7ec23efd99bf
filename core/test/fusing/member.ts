import type { Member } from '@gonimos/core/fusing';

/** A stem of a slender tree without roots, branches or curve, so far as nothing more is said. */
export const member = (id: string, base: number, more: Partial<Member> = {}): Member => ({
  id,
  base,
  height: base * 30,
  curve: null,
  roots: [],
  branches: [],
  ...more,
});
