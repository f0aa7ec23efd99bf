import type { Trace } from './trace';

/** The picture behind a drawing, as it was placed. */
export const TraceImage = ({ trace: t, opacity }: { trace: Trace; opacity: number }) => (
  <image
    href={t.url}
    x={t.middle.x - t.width / 2}
    y={-t.middle.y - (t.width * t.ratio) / 2}
    width={t.width}
    height={t.width * t.ratio}
    opacity={opacity}
  />
);
