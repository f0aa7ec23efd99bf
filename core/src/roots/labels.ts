import type { Choice } from './choices.ts';

/** Choices up to some root, in a circle that has begun: what they cost and are worth, and how they came about. */
export interface Label {
  spent: number;
  points: number;
  /** the most it can come to when the circle is closed */
  most: number;
  choice: Choice;
  /** the last option so far that fills a direction */
  kept: number;
  before: Label | null;
}

/** Labels that end at the same root, by the option kept last. */
export type Layer = Map<number, Label[]>;

/** Labels that cost no less and are worth no more than another of the same last kept root lead nowhere better. */
export function undominated(labels: Label[]): Label[] {
  labels.sort((a, b) => a.spent - b.spent || b.points - a.points);
  const out: Label[] = [];
  for (const label of labels)
    if (out.length === 0 || label.points > out[out.length - 1].points) out.push(label);
  return out;
}

/** The labels of a layer that could come to most. */
export function mostPromising(layer: Layer, many: number): Layer {
  const all = [...layer.values()].flat();
  if (all.length <= many) return layer;
  all.sort((a, b) => b.most - a.most);
  const out: Layer = new Map();
  for (const label of all.slice(0, many)) put(out, label);
  return out;
}

export function put(layer: Layer, label: Label): void {
  const labels = layer.get(label.kept);
  if (labels) labels.push(label);
  else layer.set(label.kept, [label]);
}

/** The choices that led to a label, the first one first. */
export function trail(label: Label): Choice[] {
  const out: Choice[] = [];
  for (let l: Label | null = label; l; l = l.before) out.push(l.choice);
  return out.reverse();
}
