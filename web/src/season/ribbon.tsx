import { useId } from 'react';
import { Link } from 'react-router';
import { daysBetween, toDay, toIso } from '@gonimos/core/calendar';
import type { Marker } from '@gonimos/core/season';
import type { SeasonOfPlace } from '@gonimos/contract/season';
import { monthName, shortDate } from '../common/dates';
import { useWidth } from '../common/use-width';

interface Phase {
  name: string;
  from: Marker | null;
  to: Marker | null;
  colour: string;
}

function phases(s: SeasonOfPlace): Phase[] {
  const m = s.markers;
  if (m['bud-swell'].kind === 'no-marker')
    return [
      { name: 'short days', from: null, to: m['warm-season'], colour: 'var(--rest)' },
      { name: 'warm season', from: m['warm-season'], to: null, colour: 'var(--celadon-deep)' },
    ];
  return [
    { name: 'tops at rest', from: null, to: m['bud-swell'], colour: 'var(--rest)' },
    { name: 'swelling', from: m['bud-swell'], to: m['bud-break'], colour: 'var(--slip)' },
    { name: 'first flush', from: m['bud-break'], to: m['flush-hard'], colour: 'var(--celadon)' },
    {
      name: 'hardened, growing on',
      from: m['flush-hard'],
      to: m['leaf-fall-done'],
      colour: 'var(--celadon-deep)',
    },
    { name: 'at rest', from: m['leaf-fall-done'], to: null, colour: 'var(--rest)' },
  ];
}

/** How days and bands of the strip lie in its pixels. */
function scaleOf(season: SeasonOfPlace, width: number) {
  const days = daysBetween(season.from, season.to) + 1;
  const small = width < 560;
  const xd = (day: number) => ((day - toDay(season.from)) / days) * width;
  /** From the first to the last of eight years in ten; the edge of the strip where there is no such day. */
  const edge = (m: Marker | null, fallback: number) =>
    m === null || m.kind === 'no-marker'
      ? { from: fallback, to: fallback }
      : { from: xd(m.p10), to: Math.max(xd(m.p90), xd(m.p10) + 1) };
  const heights = { top: 16, roots: 6, frost: 6 };
  const x = (iso: string) => (daysBetween(season.from, iso) / days) * width;
  return { width, small, x, xd, edge, ...heights };
}

interface BandProps {
  season: SeasonOfPlace;
  scale: ReturnType<typeof scaleOf>;
}

/** What the tops do, each phase fading in and out over the days that are not known. */
function Tops({ season, scale: { width, edge, top } }: BandProps) {
  // two strips may stand in one page, each with shades of its own
  const own = useId();
  return (
    <>
      <defs>
        {phases(season).map((p, i) => {
          const a = edge(p.from, 0);
          const b = edge(p.to, width);
          const total = Math.max(1, b.to - a.from);
          return (
            <linearGradient key={p.name} id={`${own}${i}`} x1="0" x2="1">
              <stop offset={0} stopColor={p.colour} stopOpacity={p.from ? 0 : 1} />
              <stop offset={(a.to - a.from) / total} stopColor={p.colour} />
              <stop offset={1 - (b.to - b.from) / total} stopColor={p.colour} />
              <stop offset={1} stopColor={p.colour} stopOpacity={p.to ? 0 : 1} />
            </linearGradient>
          );
        })}
      </defs>
      <g>
        {phases(season).map((p, i) => {
          const a = edge(p.from, 0);
          const b = edge(p.to, width);
          const from = (a.from + a.to) / 2;
          const room = (b.from + b.to) / 2 - from;
          return (
            <g key={p.name}>
              <rect x={a.from} width={Math.max(0, b.to - a.from)} height={top} fill={`url(#${own}${i})`} />
              {top > 10 && room > p.name.length * 6.4 + 10 && (
                <text x={from + 7} y={top / 2 + 4.5} fontSize={12.5} fill="var(--color-base-content)">
                  {p.name}
                </text>
              )}
            </g>
          );
        })}
      </g>
    </>
  );
}

/** When roots work. */
function Roots({ season, scale: { width, xd, edge, top, roots } }: BandProps) {
  const m = season.markers;
  return (
    <>
      <rect y={top + 1} width={width} height={roots} fill="var(--rest)" opacity={0.5} />
      {m['roots-active'].kind === 'days' && (
        <rect
          x={xd(m['roots-active'].p50)}
          y={top + 1}
          width={Math.max(0, edge(m['roots-rest'], width).from - xd(m['roots-active'].p50))}
          height={roots}
          fill="var(--bark)"
        />
      )}
    </>
  );
}

/** Nights that may still, or may again, bring frost. */
function Frost({ season, scale: { width, xd, top, roots, frost } }: BandProps) {
  const last = season.markers['last-frost'];
  const first = season.markers['first-frost'];
  return (
    <g transform={`translate(0 ${top + roots + 2})`}>
      {last.kind === 'days' && (
        <rect width={Math.max(0, xd(last.p90))} height={frost} fill="url(#frost-out)" />
      )}
      {first.kind === 'days' && (
        <rect
          x={xd(first.p02)}
          width={Math.max(0, width - xd(first.p02))}
          height={frost}
          fill="url(#frost-in)"
        />
      )}
      <defs>
        <linearGradient id="frost-out">
          <stop offset={0} stopColor="var(--color-info)" stopOpacity={0.75} />
          <stop offset={0.6} stopColor="var(--color-info)" stopOpacity={0.6} />
          <stop offset={1} stopColor="var(--color-info)" stopOpacity={0.08} />
        </linearGradient>
        <linearGradient id="frost-in">
          <stop offset={0} stopColor="var(--color-info)" stopOpacity={0.05} />
          <stop offset={1} stopColor="var(--color-info)" stopOpacity={0.75} />
        </linearGradient>
      </defs>
    </g>
  );
}

/** The year of a place in one strip: tops, roots, frost; soft edges where the day is not known yet. */
export function Ribbon({ season }: { season: SeasonOfPlace }) {
  const [ref, width] = useWidth<HTMLAnchorElement>();
  const scale = scaleOf(season, width);
  const { x, small, top, roots, frost } = scale;
  const today = Math.min(width - 2, x(season.today));
  const months = Array.from({ length: 12 }, (_, i) => {
    const y = Number(season.from.slice(0, 4));
    const mo = Number(season.from.slice(5, 7)) - 1 + i;
    return `${y + Math.floor(mo / 12)}-${String((mo % 12) + 1).padStart(2, '0')}-01`;
  });
  const label = shortDate(season.today, season.today);
  const below = top + roots + frost + 4;
  return (
    <Link
      ref={ref}
      to="/season"
      className="block min-w-0 grow"
      aria-label={`The year so far: today is ${label}. Open the season`}
    >
      <svg width={width} height={below + 13} aria-hidden="true" className="block">
        <Tops season={season} scale={scale} />
        <Roots season={season} scale={scale} />
        <Frost season={season} scale={scale} />
        {months.map((iso, i) => (
          <g key={iso}>
            {i > 0 && (
              <line
                x1={x(iso)}
                x2={x(iso)}
                y1={0}
                y2={below}
                stroke="var(--color-base-100)"
                strokeWidth={1}
              />
            )}
            {(!small || i % 2 === 0) && (
              <text x={x(iso) + 3} y={below + 9} fontSize={12} fill="var(--ink-soft)">
                {monthName(iso)}
              </text>
            )}
          </g>
        ))}
        <line x1={today} x2={today} y1={0} y2={below} stroke="var(--color-base-content)" strokeWidth={3} />
        <path d={`M${today - 5} ${below + 1}h10l-5 7z`} fill="var(--color-base-content)" />
      </svg>
    </Link>
  );
}

/** The same on one line, for a phone: what the tops do, when roots work, today. */
export function ThinRibbon({ season }: { season: SeasonOfPlace }) {
  const [ref, width] = useWidth<HTMLSpanElement>(358);
  const scale = { ...scaleOf(season, width), top: 6, roots: 4 };
  const today = scale.x(season.today);
  return (
    <span ref={ref} className="block">
      <svg width={width} height={12} aria-hidden="true" className="block">
        <Tops season={season} scale={{ ...scale, small: true }} />
        <Roots season={season} scale={scale} />
        <line x1={today} x2={today} y1={0} y2={12} stroke="var(--color-base-content)" strokeWidth={3} />
      </svg>
    </span>
  );
}

/** Says the next marker ahead in words, for screens where the strip is too small to read. */
export function nextMarker(season: SeasonOfPlace): string | null {
  const words = {
    'bud-swell': 'Bud swell',
    'bud-break': 'Bud break',
    'last-frost': 'Last frost',
    'flush-hard': 'First flush hard',
    'first-frost': 'First frost',
    'leaf-fall-done': 'Leaf fall',
  } as const;
  const ahead = (Object.keys(words) as (keyof typeof words)[])
    .flatMap((k) => {
      const m = season.markers[k];
      return m.kind === 'days' && !m.passed && toIso(m.p50) >= season.today ? [{ k, at: m.p50 }] : [];
    })
    .sort((a, b) => a.at - b.at)[0];
  return ahead ? `${words[ahead.k]} expected ${shortDate(toIso(ahead.at), season.today)}` : null;
}
