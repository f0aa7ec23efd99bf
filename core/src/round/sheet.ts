import { tieDownFor, tieWords } from '../wire/index.ts';
import { container, drainWords, IN_A_TRAY, type ContainerKind } from '../containers/index.ts';
import { operation, type Asks, type Operation } from '../operations/index.ts';
import { box, clipped, Flow, type Page, type Paper, type Ruler } from '../paper/index.ts';
import { percent, plural } from '../words/index.ts';
import type { KitLine } from './kit.ts';

/** One step of a day as paper tells it. */
export interface SheetStep {
  code: string;
  /** the kind of plant, and where it stands */
  kind: string;
  place: string;
  operation: string;
  title: string;
  /** plants it is about */
  plants: number;
  container: string | null;
  cohortContainer: string;
  rootCut: { take: number; limit: number } | null;
  topCut: { take: number } | null;
  /** words left at the last opening */
  nextTime: string;
  minutes: number;
  /** day its window closes, in words */
  closes: string;
  /** what it is taken from and goes into, besides its container */
  materials: readonly { what: string; amount: number | null; unit: string }[];
}

export interface BenchSheet {
  /** whose day, and which: "Tessary Bank", "9 Mar 2037" */
  nursery: string;
  on: string;
  /** for whom or where, empty for all */
  of: string;
  steps: readonly SheetStep[];
  kit: readonly KitLine[];
  /** figures as the reader reads them */
  words: (text: string) => string;
}

/** Tools with an edge: sharp before the day, clean between plants. */
const EDGED = /saw|knife|shear|scissors|secateurs|cutter|gouge|sickle/;

/** What is written down of a step, by what the recording sheet will ask. */
const ASKED: Partial<Record<Asks, readonly string[]>> = {
  emergence: ['up', 'eaten'],
  rooted: ['rooted', 'callus'],
  alive: ['alive'],
  sizes: ['calipers, mm'],
  culls: ['culled'],
  grades: ['A', 'B', 'C'],
  severed: ['severed'],
  sprouts: ['cut', 'broke'],
};
const ALWAYS = ['done', 'lost', 'min'];

/** Plants of a shared tray stand so far apart, mm: its area by the plants that go into one. */
export const spacingIn = (kind: ContainerKind): number =>
  Math.round(Math.sqrt((kind.rim[0] * kind.rim[1]) / IN_A_TRAY.value));

/** How deep and how far apart, where a step puts plants into something. */
function setting(op: Operation, into: ContainerKind): string {
  if (into.wall === 'ground') return 'At the level they stood, firmed in, watered through.';
  const apart = into.shared ? `, ${spacingIn(into)} mm apart` : '';
  if (op.lane === 'roots') return `Root plane just under the mix, mix a finger below the rim${apart}.`;
  return `At the level they stood, mix a finger below the rim${apart}.`;
}

/** What is done, in the order of the hands: the pot first, then the plant. */
export function linesOf(s: SheetStep): string[] {
  const op = operation(s.operation);
  const into = s.container ? container(s.container) : null;
  const lines: string[] = [];
  if (into && into.wall !== 'ground')
    lines.push(`Prepare first: ${into.name}, ${drainWords(into)}, a mound of mix, no hollow under the base.`);
  if (s.rootCut) {
    const most = s.rootCut.limit > s.rootCut.take ? `, never more than ${percent(s.rootCut.limit)}` : '';
    lines.push(
      `Root: take ${percent(s.rootCut.take)}${most}; thick ones shorter than thin ones; mist the roots.`,
    );
  }
  if (s.topCut) lines.push(`Top: at most ${percent(s.topCut.take)}, always down to a live branch or bud.`);
  if (into) lines.push(setting(op, into));
  if (into && s.materials.some((m) => m.what.startsWith('tie-down wire')))
    lines.push(
      `Held: ${tieWords(tieDownFor(into))}, through the holes and over the ball, ends away from the eyes.`,
    );
  const own = s.materials.filter((m) => m.amount === null).map((m) => m.what);
  if (own.length > 0) lines.push(`With: ${own.join(', ')}.`);
  return lines;
}

/** Boxes to write into: how wide, points. */
const CELL = { wide: 58, high: 20 };

function cells(flow: Flow, s: SheetStep): void {
  const asks = operation(s.operation).asks.flatMap((a) => ASKED[a] ?? []);
  let x = flow.left + 20;
  flow.need(CELL.high + 12);
  for (const name of [...ALWAYS, ...asks]) {
    const wide = name.length > 6 ? CELL.wide * 2.2 : CELL.wide;
    if (x + wide > flow.left + flow.width) {
      x = flow.left + 20;
      flow.gap(CELL.high + 13);
      flow.need(CELL.high + 12);
    }
    flow.put({ kind: 'text', x, y: flow.y + 7, text: name, size: 8, face: 'plain', ink: 'soft' });
    flow.put(box(x, flow.y + 9, wide - 6, CELL.high, { stroke: 'soft', width: 0.7 }));
    x += wide;
  }
  flow.gap(CELL.high + 16);
}

function stepOn(flow: Flow, s: SheetStep, words: BenchSheet['words']): void {
  const op = operation(s.operation);
  // head, one line and the boxes stay together
  flow.need(84);
  flow.rule('line');
  flow.gap(5);
  flow.put(box(flow.left, flow.y + 2, 11, 11, { stroke: 'black', width: 1 }));
  flow.write(`${s.code}  ${words(s.title)}`, flow.left + 20, flow.width - 20, { size: 14, face: 'bold' });
  const about = `${plural(s.plants, 'plant')} of ${s.kind}, ${s.place}; about ${lasts(s.minutes)}, by ${s.closes}`;
  flow.write(about, flow.left + 20, flow.width - 20, { size: 10.5, ink: 'soft' });
  for (const line of linesOf(s)) flow.write(words(line), flow.left + 20, flow.width - 20, { size: 11.5 });
  if (s.nextTime)
    flow.write(`Left from last time: ${words(s.nextTime)}`, flow.left + 20, flow.width - 20, {
      size: 11.5,
      face: 'bold',
    });
  if (op.caution)
    flow.write(`Mind: ${op.caution} Local rules come first.`, flow.left + 20, flow.width - 20, {
      size: 10.5,
      ink: 'goes',
    });
  flow.gap(4);
  cells(flow, s);
}

/** Height of a line of what is carried to the bench, points. */
const KIT_LINE = 17;

function kitWords({ what, amount, unit, tool }: KitLine, words: BenchSheet['words']): string {
  const edge = tool && EDGED.test(what) ? ', sharp and clean' : '';
  if (amount === null) return `${what}${edge}`;
  return `${words(unit ? `${Math.ceil(amount)} ${unit}` : String(Math.ceil(amount)))}  ${what}${edge}`;
}

/** What is carried to the bench before anything is opened, in two columns to be ticked off. */
function pickList(flow: Flow, { kit, words }: BenchSheet, ruler: Ruler): void {
  if (kit.length === 0) return;
  flow.heading('Have ready');
  const half = flow.width / 2;
  const rows = Math.ceil(kit.length / 2);
  for (let row = 0; row < rows; row++) {
    flow.need(KIT_LINE);
    for (const column of [0, 1]) {
      const k = kit[row + column * rows];
      if (!k) continue;
      const x = flow.left + column * half;
      const text = clipped(kitWords(k, words), half - 24, 11, 'plain', ruler);
      flow.put(box(x, flow.y + 3, 8, 8, { stroke: 'black', width: 0.8 }));
      flow.put({ kind: 'text', x: x + 16, y: flow.y + 11, text, size: 11, face: 'plain', ink: 'black' });
    }
    flow.gap(KIT_LINE);
  }
  if (kit.some((k) => k.tool && EDGED.test(k.what)))
    flow.write('Edges are sharpened before the day, and disinfected between plants.', flow.left, flow.width, {
      size: 10,
      ink: 'soft',
    });
}

/** So long, as one says it. */
const lasts = (minutes: number): string =>
  minutes < 90 ? `${Math.round(minutes)} min` : `${Math.round(minutes / 6) / 10} hours`;

/** A day's work as it goes to the bench: what to carry there, then step by step, with room for what was found. */
export function benchSheet(sheet: BenchSheet, paper: Paper, ruler: Ruler): Page[] {
  const whose = sheet.of ? `${sheet.on}, ${sheet.of}` : sheet.on;
  const flow = new Flow(paper, ruler, `${sheet.nursery}, bench sheet, ${whose}`);
  flow.write(`${sheet.nursery}: ${sheet.on}`, flow.left, flow.width, { size: 18, face: 'bold' });
  const minutes = sheet.steps.reduce((n, s) => n + s.minutes, 0);
  const total = `${sheet.of ? `${sheet.of}. ` : ''}${plural(sheet.steps.length, 'step')}, about ${lasts(minutes)}.`;
  flow.write(total, flow.left, flow.width, { size: 11, ink: 'soft' });
  pickList(flow, sheet, ruler);
  flow.heading('In this order');
  for (const s of sheet.steps) stepOn(flow, s, sheet.words);
  return flow.end();
}
