import { percent } from '@gonimos/core/words';
import { useEffect, useRef } from 'react';
import { useNavigate } from 'react-router';
import type { Lineage } from '@gonimos/contract/lineage';
import type { LineageKind } from '@gonimos/core/lineage';
import { taxon } from '@gonimos/core/taxa';
import { saidDate } from '../common/dates';
import { countWords } from '../common/words';

const NODE = { w: 172, h: 58 };
const GAP = { x: 104, y: 22 };
const KIND_WORDS: Record<LineageKind, string> = {
  seed: 'seed',
  cutting: 'cuttings',
  layer: 'layer',
  split: 'parted',
  merge: 'put in with',
  plant: 'own tag',
  other: 'came from',
};
const DASH: Partial<Record<LineageKind, string>> = { split: '7 4', merge: '2 4', plant: '7 4' };

/** The family over generations, left to right; on each line how plants came, and how many of them live. */
export function FamilyDrawing({ of, family }: { of: string; family: Lineage['family'] }) {
  const go = useNavigate();
  const x = (generation: number) => 6 + generation * (NODE.w + GAP.x);
  const y = (row: number) => 6 + row * (NODE.h + GAP.y);
  const at = new Map(family.placed.map((p) => [p.node.id, p]));
  const width = x(family.columns - 1) + NODE.w + 6;
  const height = y(family.rows - 1) + NODE.h + 6;
  const room = useRef<HTMLDivElement>(null);
  const own = x(at.get(of)!.generation) + NODE.w / 2;
  // on a narrow screen the cohort one came for is in sight, not its oldest forebear
  useEffect(() => {
    // newer browsers answer with a promise, which must not be taken for what clears up afterwards
    room.current?.scrollTo({ left: own - room.current.clientWidth / 2 });
  }, [own]);
  return (
    <div
      ref={room}
      className="card-plain overflow-x-auto p-4"
      tabIndex={0}
      role="region"
      aria-label="Family, drawn"
    >
      <svg width={width} height={height} className="block">
        {family.edges.map((e) => {
          const a = at.get(e.from)!;
          const b = at.get(e.to)!;
          const x1 = x(a.generation) + NODE.w;
          const y1 = y(a.row) + NODE.h / 2;
          const x2 = x(b.generation);
          const y2 = y(b.row) + NODE.h / 2;
          const bend = x1 + 16;
          const words = x2 - GAP.x + 21;
          return (
            <g key={`${e.from} ${e.to} ${e.kind}`}>
              <path
                d={`M${x1} ${y1}H${bend}V${y2}H${x2}`}
                fill="none"
                stroke="var(--wood-line)"
                strokeWidth={2}
                strokeDasharray={DASH[e.kind]}
              />
              <text x={words} y={y2 - 7} fontSize={13} fill="var(--ink-soft)">
                {KIND_WORDS[e.kind]}
              </text>
              {e.share && (
                <>
                  <text x={words} y={y2 + 17} fontSize={13} fontWeight={700} fill="var(--color-base-content)">
                    {percent(e.share.value)}
                  </text>
                  <text x={words} y={y2 + 32} fontSize={13} fill="var(--ink-soft)">
                    {e.k} of {e.n}
                  </text>
                </>
              )}
            </g>
          );
        })}
        {family.placed.map(({ node, generation, row }) => {
          const here = node.id === of;
          return (
            <g
              key={node.id}
              transform={`translate(${x(generation)} ${y(row)})`}
              role="link"
              tabIndex={0}
              aria-label={`${node.code}, ${taxon(node.taxonId).name}, ${countWords(node)}`}
              className="cursor-pointer"
              onClick={() => void go(`/cohorts/${node.id}/lineage`)}
              onKeyDown={(e) => e.key === 'Enter' && void go(`/cohorts/${node.id}/lineage`)}
            >
              <rect
                width={NODE.w}
                height={NODE.h}
                rx={6}
                fill={
                  here
                    ? 'var(--color-neutral)'
                    : node.live + node.pending > 0
                      ? 'var(--celadon)'
                      : 'var(--rest)'
                }
                stroke="var(--color-base-content)"
                strokeWidth={here ? 2 : 1}
              />
              <text
                x={12}
                y={24}
                fontSize={16}
                fontWeight={700}
                fill={here ? 'var(--color-neutral-content)' : 'var(--color-base-content)'}
              >
                {node.tag ?? node.code}
              </text>
              <text
                x={12}
                y={45}
                fontSize={13}
                fill={here ? 'var(--color-neutral-content)' : 'var(--color-base-content)'}
              >
                {countWords(node)}, {saidDate(node.startedSaid, '')}
              </text>
            </g>
          );
        })}
      </svg>
    </div>
  );
}
