import { WAYS, type Fit, type Potted, type Setting } from '@gonimos/core/fit';

interface Props {
  fit: Fit;
  plant: Potted;
  setting: Setting;
}

const SIZE = 210;

/** The pot and the ball in it from above, the front below. */
function Above({ fit, plant, setting }: Props) {
  const { pot } = fit;
  const [w, d] = pot.rim;
  const scale = (SIZE - 12) / Math.max(w, d, 2 * Math.max(...plant.reach));
  const x = setting.aside * scale;
  const y = -setting.behind * scale;
  const points = plant.reach.map((r, i) => {
    const angle = (((i * 360) / WAYS - setting.front - 180) * Math.PI) / 180;
    return `${x + r * scale * Math.sin(angle)},${y - r * scale * Math.cos(angle)}`;
  });
  const line = { fill: 'var(--color-base-100)', stroke: 'currentColor', strokeWidth: 2 };
  const dash = pot.wall === 'air-pruning' ? '4 3' : undefined;
  const floor = { fill: 'none', stroke: 'var(--color-base-300)' };
  const [bw, bd] = pot.base;
  return (
    <svg viewBox={`${-SIZE / 2} ${-SIZE / 2} ${SIZE} ${SIZE}`} className="w-full" aria-hidden>
      {pot.shape === 'round' ? (
        <>
          <circle r={(w / 2) * scale} {...line} strokeDasharray={dash} />
          <circle r={(bw / 2) * scale} {...floor} />
        </>
      ) : (
        <>
          <rect
            x={(-w / 2) * scale}
            y={(-d / 2) * scale}
            width={w * scale}
            height={d * scale}
            {...line}
            strokeDasharray={dash}
          />
          <rect
            x={(-bw / 2) * scale}
            y={(-bd / 2) * scale}
            width={bw * scale}
            height={bd * scale}
            {...floor}
          />
        </>
      )}
      <polygon points={points.join(' ')} fill="var(--wood-pale)" stroke="var(--wood-line)" />
      <circle cx={x} cy={y} r={Math.max(2, (plant.caliper / 2) * scale)} fill="var(--wood-line)" />
    </svg>
  );
}

/** The same from the front: how deep the ball sits, how far the crown stands over it. */
function Front({ fit, plant, setting }: Props) {
  const { pot } = fit;
  const tall = plant.height * Math.sqrt(plant.crown);
  const scale = (SIZE - 10) / Math.max(tall + pot.depth, pot.rim[0] * 1.1);
  const ground = SIZE / 2 - 4;
  const rim = ground - pot.depth * scale;
  const line = rim + (pot.depth * scale) / 12;
  const x = setting.aside * scale;
  const [right, left] = [0.25, 0.75].map((turn) => {
    const at = Math.round((((setting.front / 360 - turn + 1) % 1) * WAYS) % WAYS) % WAYS;
    return plant.reach[at] * scale;
  });
  const half = (mm: number) => (mm / 2) * scale;
  const wall = [
    [-half(pot.rim[0]), rim],
    [-half(pot.base[0]), ground],
    [half(pot.base[0]), ground],
    [half(pot.rim[0]), rim],
  ];
  const deep = plant.depth * scale;
  const crown = tall * 0.2 * scale;
  return (
    <svg viewBox={`${-SIZE / 2} ${-SIZE / 2} ${SIZE} ${SIZE}`} className="w-full" aria-hidden>
      <ellipse
        cx={x}
        cy={line - tall * 0.6 * scale}
        rx={crown}
        ry={tall * 0.4 * scale}
        fill="var(--celadon)"
        stroke="var(--celadon-deep)"
      />
      <line x1={x} x2={x} y1={line} y2={line - tall * scale} stroke="var(--wood-line)" strokeWidth={2.5} />
      <path
        d={`M${x - left} ${line} Q${x - left} ${line + deep} ${x} ${line + deep} Q${x + right} ${line + deep} ${x + right} ${line}Z`}
        fill="var(--wood-pale)"
        stroke="var(--wood-line)"
      />
      <polyline
        points={wall.map((p) => p.join(',')).join(' ')}
        fill="none"
        stroke="currentColor"
        strokeWidth={2}
        strokeDasharray={pot.wall === 'air-pruning' ? '4 3' : undefined}
      />
    </svg>
  );
}

/** A plant in a pot, from above and from the front, each to its own scale. */
export function Drawing(p: Props) {
  return (
    <div className="grid grid-cols-2 gap-3" role="img" aria-label={`The plant in a ${p.fit.pot.name}`}>
      <Above {...p} />
      <Front {...p} />
    </div>
  );
}
