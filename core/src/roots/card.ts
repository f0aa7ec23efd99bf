import {
  Flow,
  type Frame,
  type Mark,
  type Page,
  type Paper,
  type Path,
  type Ruler,
  type Text,
} from '../paper/index.ts';
import { percent } from '../words/index.ts';
import type { Choice } from './choices.ts';
import { footOf, potLine, reachOf, sideOf } from './drawn.ts';
import { along, lengthOf, lineOf, spotAt, upTo, type RootRecord, type Spot } from './record.ts';
import { across, outline, pathOf } from './shapes.ts';
import type { RootPlan } from './plan.ts';
import type { Room } from './room.ts';

/** What a root card says; texts are in the reader's units already. */
export interface RootCard {
  /** code of the cohort, and which plant of it */
  title: string;
  /** day of the drawing, in words */
  on: string;
  record: RootRecord;
  plan: RootPlan;
  room: Room | null;
  caution: string;
  /** figures as the reader reads them */
  words: (text: string) => string;
}

const circle = (r: number): string => `M${-r} 0A${r} ${r} 0 1 0 ${r} 0A${r} ${r} 0 1 0 ${-r} 0Z`;

/** The drawing of one root and what is done with it: what goes is dashed, a cut is a bar, where it moves is dashed green. */
function rootMarks(record: RootRecord, choice: Choice, at: Pick<Path, 'x' | 'y' | 'scale'>): Path[] {
  const root = record.roots[choice.root];
  const line = lineOf(root, record.trunk);
  const whole = lengthOf(line);
  const kept = Math.min(whole, choice.length);
  const shape = (d: string, look: Partial<Path>): Path => ({
    kind: 'path',
    d,
    x: at.x,
    y: at.y,
    scale: at.scale,
    width: 0.7,
    ...look,
  });
  const marks: Path[] = [];
  if (kept < whole) marks.push(shape(outline(line, root.diameter), { stroke: 'goes', dash: 3 }));
  if (kept > 0)
    marks.push(shape(outline(upTo(line, kept), root.diameter, whole), { fill: 'wood', stroke: 'black' }));
  for (const fork of root.forks) {
    if (fork.at > kept) continue;
    const { spot, azimuth } = along(line, fork.at);
    const out = spotAt({ azimuth: azimuth + fork.turn, out: fork.length });
    const arm = [spot, { x: spot.x + out.x, y: spot.y + out.y }];
    marks.push(shape(outline(arm, fork.diameter), { fill: 'wood', stroke: 'black' }));
  }
  if (kept > 0 && kept < whole) {
    const bar = across(line, kept, root.diameter * 0.7 + 4 / at.scale);
    marks.push(shape(pathOf(bar), { stroke: 'goes', width: 2.2 }));
  }
  if (choice.action === 'move' && choice.turn !== 0)
    marks.push(
      shape(outline(lineOf(root, record.trunk, choice.turn), root.diameter), { stroke: 'moves', dash: 4 }),
    );
  return marks;
}

/** Letters of a size with their middle at a place. */
function centred(
  text: string,
  x: number,
  y: number,
  look: Pick<Text, 'size' | 'face' | 'ink'>,
  ruler: Ruler,
): Text {
  const { size, face, ink } = look;
  return {
    kind: 'text',
    x: x - ruler.width(text, size, face) / 2,
    y: y + size * 0.35,
    text,
    size,
    face,
    ink,
  };
}

/** The roots from above, to scale, with the number of each cut where it is made. */
function planMarks(
  { record, plan, room, words }: RootCard,
  order: ReadonlyMap<string, number>,
  f: Frame,
  ruler: Ruler,
): Mark[] {
  const reach = reachOf(record);
  const at = { x: f.x + f.width / 2, y: f.y + f.height / 2, scale: f.width / (2 * reach) };
  const place = (s: Spot): Spot => ({ x: at.x + s.x * at.scale, y: at.y - s.y * at.scale });
  const small = { size: 7.5, face: 'plain', ink: 'soft' } as const;
  const marks: Mark[] = [];
  // where fewest roots are in the way
  const bare = plan.measures.now.widest?.middle ?? 45;
  const step = reach > 240 ? 100 : reach > 110 ? 50 : 20;
  for (let r = step; r < reach * 0.97; r += step) {
    marks.push({ kind: 'path', d: circle(r), ...at, stroke: 'line', width: 0.4 });
    const tag = place(spotAt({ azimuth: bare, out: r }));
    marks.push(centred(words(`${r} mm`), tag.x, tag.y, small, ruler));
  }
  if (room)
    marks.push({ kind: 'path', d: `${pathOf(potLine(room))}Z`, ...at, stroke: 'soft', dash: 5, clip: f });
  for (const choice of plan.choices) marks.push(...rootMarks(record, choice, at));
  marks.push({ kind: 'path', d: circle(record.trunk / 2), ...at, fill: 'white', stroke: 'black', width: 1 });
  for (const root of record.roots) {
    const line = lineOf(root, record.trunk);
    const end = line[line.length - 1];
    const far = Math.hypot(end.x, end.y) || 1;
    const out = 9 / at.scale / far;
    const name = place({ x: end.x * (1 + out), y: end.y * (1 + out) });
    marks.push(centred(root.id, name.x, name.y, { size: 8, face: 'plain', ink: 'soft' }, ruler));
    const number = order.get(root.id);
    if (number === undefined) continue;
    const { x, y } = place(along(line, lengthOf(line) * 0.45).spot);
    marks.push({ kind: 'path', d: circle(7), x, y, scale: 1, fill: 'black' });
    marks.push(centred(String(number), x, y, { size: 9, face: 'bold', ink: 'white' }, ruler));
  }
  const north = place({ x: 0, y: reach * 0.95 });
  const front = place(spotAt({ azimuth: record.front, out: reach * 0.95 }));
  marks.push(centred('N', north.x, north.y, { size: 9, face: 'bold', ink: 'soft' }, ruler));
  marks.push(centred('front', front.x, front.y, { size: 9, face: 'bold', ink: 'black' }, ruler));
  return marks;
}

/** The roots from the front against their plane. */
function sideMarks({ record, plan }: RootCard, f: Frame): Mark[] {
  const reach = reachOf(record);
  const high = record.trunk * 1.2;
  const { roots, low } = sideOf(record, plan.choices);
  const scale = Math.min(f.width / (2 * reach), f.height / (high + low));
  const at = { x: f.x + f.width / 2, y: f.y + high * scale, scale };
  return [
    { kind: 'path', d: `M${-reach} 0H${reach}`, ...at, stroke: 'soft', width: 0.6, dash: 3 },
    ...roots.map(({ root, d, goes }): Path => {
      const width = Math.max(1.4, root.diameter * 0.9 * scale);
      return goes
        ? { kind: 'path', d, ...at, stroke: 'goes', width: Math.min(width, 2), dash: 3 }
        : { kind: 'path', d, ...at, stroke: 'wood', width };
    }),
    { kind: 'path', d: footOf(record.trunk), ...at, fill: 'white', stroke: 'black', width: 1 },
  ];
}

/** Where the wall of the pot is to be seen in the drawing. */
function potWords(record: RootRecord, room: Room): string {
  const reach = reachOf(record);
  const seen = potLine(room).some(({ x, y }) => Math.max(Math.abs(x), Math.abs(y)) < reach);
  return seen
    ? 'The dashed outline is the inside of the pot as the trunk stands in it.'
    : 'The wall of the pot lies outside of what is drawn: every root fits.';
}

/** What goes to the bench on paper: both drawings, the cuts in order, what is left for next time, and what to mind. */
export function rootCard(card: RootCard, paper: Paper, ruler: Ruler): Page[] {
  const { plan, words } = card;
  const flow = new Flow(paper, ruler, `${card.title}, root card, roots as drawn ${card.on}`);
  flow.write(card.title, flow.left, flow.width, { size: 20, face: 'bold' });
  const most = `${percent(plan.share)} of the fine root goes, at most ${percent(plan.limit)}.`;
  const score = `Base ${plan.score.now} of a hundred now, ${plan.score.after} after the work.`;
  flow.write(`Root card. Roots as drawn ${card.on}. ${most} ${score}`, flow.left, flow.width, { size: 11 });
  if (!plan.proved)
    flow.write('The best that was found; not proved best.', flow.left, flow.width, { ink: 'soft' });
  flow.gap(10);
  const big = flow.width * 0.54;
  const top = flow.y;
  const order = new Map(plan.cuts.map((c, i) => [c.id, i + 1]));
  flow.put(...planMarks(card, order, { x: flow.left, y: top, width: big, height: big }, ruler));
  const x = flow.left + big + 14;
  const width = flow.width - big - 14;
  flow.put(...sideMarks(card, { x, y: top + 8, width, height: big * 0.42 }));
  flow.y = top + big * 0.5;
  const small = { size: 9, ink: 'soft' } as const;
  flow.write(
    'Above: seen from the front, against the level of the roots. Left: from above.',
    x,
    width,
    small,
  );
  flow.gap(6);
  flow.write(
    'Red and dashed goes. A bar is a cut. Green and dashed is where a root is moved to.',
    x,
    width,
    small,
  );
  if (card.room) {
    flow.gap(6);
    flow.write(potWords(card.record, card.room), x, width, small);
  }
  flow.y = top + big + 8;
  flow.heading(plan.cuts.length > 0 ? 'In this order' : 'Nothing is cut');
  plan.cuts.forEach((cut, i) => {
    const share = cut.share > 0 ? `, ${percent(cut.share)} of the fine root` : '';
    flow.need(34);
    flow.item(String(i + 1), `${cut.id}: ${words(cut.title)}${share}`, {
      size: 11,
      face: 'bold',
      indent: 20,
    });
    flow.write(words(cut.because), flow.left + 20, flow.width - 20, { ink: 'soft' });
    flow.gap(4);
  });
  if (plan.deferred.length > 0) {
    flow.heading('Left for next time');
    for (const d of plan.deferred) flow.item('–', `${d.id}: ${words(d.note)}`);
  }
  flow.heading('Mind');
  flow.write(`${words(card.caution)} Local rules come first.`);
  return flow.end();
}
