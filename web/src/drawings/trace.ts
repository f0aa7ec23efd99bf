/** A point of a drawing, mm, up is above 0. */
export interface Spot {
  x: number;
  y: number;
}

/** A picture behind the drawing, to be traced: how wide it lies and where its middle is, mm. */
export interface Trace {
  url: string;
  /** height against width */
  ratio: number;
  width: number;
  middle: Spot;
}

/** A picture laid over the whole ground around a middle, not placed yet. */
export const laid = (url: string, ratio: number, reach: number, middle: Spot = { x: 0, y: 0 }): Trace => ({
  url,
  ratio,
  width: (2 * reach) / Math.max(1, ratio),
  middle,
});

/**
 * The picture moved and scaled by two taps on it: what is tapped first comes to lie at 0, 0, and the second so many mm
 * from it as it is known to be. Two taps on one point leave it as it lies.
 */
export function placed(t: Trace, first: Spot, second: Spot, apart: number): Trace {
  const far = Math.hypot(second.x - first.x, second.y - first.y);
  if (far < 0.5) return t;
  const by = apart / far;
  return {
    ...t,
    width: t.width * by,
    middle: { x: (t.middle.x - first.x) * by, y: (t.middle.y - first.y) * by },
  };
}
