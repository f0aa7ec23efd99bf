import type { Spot } from '@gonimos/core/roots';

/** A picture behind the drawing, to be traced: how wide it lies and where its middle is, mm. */
export interface Trace {
  url: string;
  /** height against width */
  ratio: number;
  width: number;
  middle: Spot;
}

/** A picture laid over the whole ground, not placed yet. */
export const laid = (url: string, ratio: number, reach: number): Trace => ({
  url,
  ratio,
  width: (2 * reach) / Math.max(1, ratio),
  middle: { x: 0, y: 0 },
});

/**
 * The picture moved and scaled by two taps on it: the trunk's middle, which comes to lie in the middle, and the
 * trunk's edge, whose distance is known. Two taps on one point leave it as it lies.
 */
export function placed(t: Trace, middle: Spot, edge: Spot, trunk: number): Trace {
  const far = Math.hypot(edge.x - middle.x, edge.y - middle.y);
  if (far < 0.5) return t;
  const by = trunk / 2 / far;
  return {
    ...t,
    width: t.width * by,
    middle: { x: (t.middle.x - middle.x) * by, y: (t.middle.y - middle.y) * by },
  };
}
