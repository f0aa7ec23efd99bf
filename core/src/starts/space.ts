import { container } from '../containers/index.ts';
import { operation } from '../operations/index.ts';
import { cp } from '../params/index.ts';
import { firstStep, type Programme } from '../programmes/index.ts';
import type { StartCost } from './numbers.ts';
import { stagesOf, type Stage } from './stages.ts';
import { beginningOf } from './survival.ts';

/** Room each has in a shared flat or tray, mm apart. Common practice, no source. */
const APART = { seed: cp(32, 'mm apart'), cutting: cp(50, 'mm apart') } as const;

/**
 * Work and room of a start, from the programme: minutes of beginning and of the first count, plants to a tray,
 * and the bench a plant takes in the last container up to the stage. Prices in cents come from the grower.
 */
export function costOf(p: Programme, stage: Stage, price: Pick<StartCost, 'centsEach' | 'wage'>): StartCost {
  const stages = stagesOf(p);
  const until = stages.find((s) => s.stage === stage) ?? stages.at(-1)!;
  const steps = p.steps.slice(0, p.steps.indexOf(until.step) + 1);
  const tray = container(firstStep(p).container ?? 'pot-9');
  const apart = (beginningOf(p) === 'seed' ? APART.seed : APART.cutting).value;
  const perTray = tray.shared
    ? Math.max(1, Math.floor(tray.rim[0] / apart) * Math.floor(tray.rim[1] / apart))
    : 1;
  const area = (id: string) => {
    const c = container(id);
    return (c.rim[0] * c.rim[1]) / 1e6;
  };
  const last = container(steps.findLast((s) => s.container)?.container ?? tray.id);
  const counted = [firstStep(p), stages[0]?.step].filter((s) => s !== undefined);
  return {
    ...price,
    minutesEach: counted.reduce((m, s) => m + operation(s.operation).minutes.value, 0),
    perTray,
    trayArea: area(tray.id),
    areaAtStage: last.shared ? area(last.id) / perTray : area(last.id),
  };
}

/** What is started: seeds, cuttings, layers, or plants. */
export const startUnit = (p: Programme): 'seeds' | 'cuttings' | 'layers' | 'plants' =>
  p.method === 'seed'
    ? 'seeds'
    : p.method === 'layer'
      ? 'layers'
      : p.method === 'cutting'
        ? 'cuttings'
        : 'plants';
