import { expose } from 'comlink';
import { setTogether, type Group, type Member } from '@gonimos/core/fusing';

/** Stems are set together off the page; `told` hears how far it is, 0..1. */
const fusing = {
  set: (members: readonly Member[], seed: number, told: (part: number) => Promise<void>): Group =>
    setTogether(members, seed, (part) => void told(part)),
};

export type FusingWorker = typeof fusing;
expose(fusing);
