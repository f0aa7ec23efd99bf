/** Seeded generators: the same seed gives the same numbers on every machine. */
export interface Random {
  /** uniform in [0, 1) */
  next(): number;
  /** standard normal */
  normal(): number;
}

/** 32-bit FNV-1a of a text, to make a seed from a name. */
export function seedFrom(text: string): number {
  let h = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193);
  return h >>> 0;
}

/** sfc32 with a Box–Muller transform for the normal variates. */
export function random(seed: number): Random {
  let a = seed | 0;
  let b = 0x9e3779b9;
  let c = 0x243f6a88;
  let d = 1;
  const next = () => {
    const t = (((a + b) | 0) + d) | 0;
    d = (d + 1) | 0;
    a = b ^ (b >>> 9);
    b = (c + (c << 3)) | 0;
    c = ((c << 21) | (c >>> 11)) + t;
    return (t >>> 0) / 4294967296;
  };
  for (let i = 0; i < 12; i++) next();
  let spare = NaN;
  return {
    next,
    normal() {
      if (!Number.isNaN(spare)) {
        const z = spare;
        spare = NaN;
        return z;
      }
      const r = Math.sqrt(-2 * Math.log(1 - next()));
      const angle = 2 * Math.PI * next();
      spare = r * Math.sin(angle);
      return r * Math.cos(angle);
    },
  };
}
