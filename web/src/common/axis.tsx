interface Scale {
  (value: number): number;
  ticks: (count: number) => number[];
}

interface Props {
  y: Scale;
  /** about how many lines */
  count?: number;
  /** where the lines begin and end, px */
  from: number;
  to: number;
  words: (value: number) => string;
  /** colour of the line at nought, where that says something */
  nought?: string;
}

/** The heights of a chart: a line across for each, its value to the left of it. */
export function HeightAxis({ y, count = 5, from, to, words, nought }: Props) {
  return y.ticks(count).map((t) => (
    <g key={t}>
      <line
        x1={from}
        x2={to}
        y1={y(t)}
        y2={y(t)}
        stroke={t === 0 && nought ? nought : 'var(--color-base-300)'}
        strokeWidth={t === 0 && nought ? 1.6 : 1}
      />
      <text x={from - 6} y={y(t) + 4} fontSize={13} textAnchor="end" fill="var(--ink-soft)">
        {words(t).replace('-', '−')}
      </text>
    </g>
  ));
}
