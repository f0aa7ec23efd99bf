import { bendWords, LINES, wayWords, type Pliant, type Point, type Recipe } from '@gonimos/core/bends';
import { length } from '../common/units';

const SIZE = 100;

interface ViewProps {
  name: string;
  line: readonly Point[];
  /** across and up in the drawing */
  at: (p: Point) => [number, number];
  /** mm that fill the drawing */
  room: number;
  marks: readonly Point[];
}

/** A line from one side, to scale, its bends by number. */
function View({ name, line, at, room, marks }: ViewProps) {
  const scale = (SIZE - 16) / room;
  const xy = (p: Point) => {
    const [x, y] = at(p);
    return [x * scale, -y * scale] as const;
  };
  const from = xy(line[0]);
  return (
    <figure className="grid justify-items-center">
      <svg
        viewBox={`${-SIZE / 2} ${name === 'top' ? -SIZE / 2 : -SIZE + 8} ${SIZE} ${SIZE}`}
        className="w-full"
        aria-hidden
      >
        {name !== 'top' && <line x1={-SIZE / 2} x2={SIZE / 2} stroke="var(--wood-line)" strokeWidth={0.8} />}
        <polyline
          points={line.map((p) => xy(p).join(',')).join(' ')}
          fill="none"
          stroke="var(--bark)"
          strokeWidth={3}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
        {marks.map((m, i) => {
          const [x, y] = xy(m);
          return (
            <g key={i}>
              <circle cx={x} cy={y} r={4.4} fill="var(--color-base-content)" />
              <text
                x={x}
                y={y + 2.4}
                textAnchor="middle"
                fontSize={6.5}
                fontWeight={700}
                fill="var(--color-base-100)"
              >
                {i + 1}
              </text>
            </g>
          );
        })}
        {name === 'top' && <circle cx={from[0]} cy={from[1]} r={3} fill="var(--wood-line)" />}
      </svg>
      <figcaption className="soft text-sm">{name}</figcaption>
    </figure>
  );
}

interface Props {
  recipe: Recipe;
  stem: Pliant;
  /** gauge, mm, and how much of it, mm */
  wire: { gauge: number; long: number };
}

/** What is done to one plant, as a card to take to the bench. */
export function BendCard({ recipe, stem, wire }: Props) {
  const { line, bends, planted } = recipe;
  const marks = bends.map((b) => line[Math.round(b.at * (line.length - 1))]);
  const far = Math.max(
    ...line.map((p) => Math.max(Math.abs(p.x), Math.abs(p.y)) * 2),
    ...line.map((p) => p.z),
  );
  return (
    <article className="card-plain grid break-inside-avoid gap-2 p-4" aria-label={`Plant ${recipe.number}`}>
      <h3 className="flex items-baseline justify-between text-lg">
        No. {recipe.number}
        <span className="soft font-sans text-sm font-normal">
          {LINES.find((l) => l.id === recipe.style)?.name}
        </span>
      </h3>
      <div className="grid grid-cols-3 gap-1">
        <View name="front" line={line} at={(p) => [p.x, p.z]} room={far} marks={marks} />
        <View name="side" line={line} at={(p) => [p.y, p.z]} room={far} marks={marks} />
        <View name="top" line={line} at={(p) => [p.x, p.y]} room={far} marks={marks} />
      </div>
      <ol className="text-sm">
        {planted.lean >= 3 && (
          <li>
            planted leaning {Math.round(planted.lean)}° to the {wayWords(planted.towards)}
          </li>
        )}
        {bendWords(recipe, stem).map((w) => (
          <li key={w}>{w}</li>
        ))}
      </ol>
      <p className="soft text-sm">
        Wire {length(wire.gauge, 1)}, {length(wire.long)}. Tightest {length(recipe.radius.least)}, it bears{' '}
        {length(recipe.radius.bears)}.
      </p>
    </article>
  );
}
