import { hasContainer } from '../containers/index.ts';
import { hasOperation, operation } from '../operations/index.ts';
import { isOption, isQuestion } from '../schools/index.ts';
import type { Programme, ProgrammeStep } from './index.ts';

export interface ProgrammeFault {
  /** step key, or null for the programme as a whole */
  step: string | null;
  text: string;
}

const KEY = /^[a-z0-9][a-z0-9-]{0,30}$/;
const MOST_STEPS = 60;
const share = (x: number | undefined) => x === undefined || (x >= 0 && x <= 1);

function ofStep(s: ProgrammeStep, before: ReadonlySet<string>): string[] {
  const faults: string[] = [];
  if (!KEY.test(s.key)) faults.push('the key is small letters, digits and hyphens');
  if (before.has(s.key)) faults.push(`the key ‘${s.key}’ is there twice`);
  if (!hasOperation(s.operation)) faults.push(`‘${s.operation}’ is not an operation of the library`);
  for (const a of s.after) {
    if (!before.has(a.step)) faults.push(`waits for ‘${a.step}’, which does not come before it`);
    if ((a.days ?? 0) < 0 || (a.seasons ?? 0) < 0) faults.push(`the lag after ‘${a.step}’ is below 0`);
    if ((a.days ?? 0) > 1500 || (a.seasons ?? 0) > 15) faults.push(`the lag after ‘${a.step}’ is too long`);
  }
  if (s.container !== undefined && !hasContainer(s.container))
    faults.push(`‘${s.container}’ is not a container of the library`);
  if (!share(s.rootLoss) || !share(s.topLoss)) faults.push('a share of root or top is between 0 and 1');
  for (const c of s.conditions ?? [])
    if (!(c.atLeast > 0) || (c.measure === 'fill' && c.atLeast > 1))
      faults.push(`the ${c.measure} asked for makes no sense`);
  if (s.only && (!isQuestion(s.only.question) || !s.only.options.every((o) => isOption(s.only!.question, o))))
    faults.push('asks for a school the library does not hold');
  return faults;
}

/** Everything wrong with a programme someone wrote, by step; an empty list means it can be followed. */
export function faultsOf(p: Programme): ProgrammeFault[] {
  const faults: ProgrammeFault[] = [];
  const say = (step: string | null, text: string) => faults.push({ step, text });
  if (p.name.trim() === '') say(null, 'the name is empty');
  if (p.steps.length === 0) say(null, 'it has no steps');
  if (p.steps.length > MOST_STEPS) say(null, `it has more than ${MOST_STEPS} steps`);
  if (!(p.vigour >= 1 && p.vigour <= 5)) say(null, 'vigour is between 1 and 5');
  const first = p.steps[0] as ProgrammeStep | undefined;
  if (first && first.after.length > 0) say(first.key, 'the first step waits for nothing');
  if (
    first &&
    hasOperation(first.operation) &&
    !operation(first.operation).asks.includes('container') &&
    !first.container
  )
    say(first.key, 'the first step names the container the plants begin in');
  const before = new Set<string>();
  for (const s of p.steps) {
    for (const text of ofStep(s, before)) say(s.key, text);
    if (s !== first && s.after.length === 0) say(s.key, 'waits for nothing: name the step it follows');
    before.add(s.key);
  }
  for (const [question, option] of Object.entries(p.schools))
    if (!isQuestion(question) || !isOption(question, option))
      say(null, `no such school: ${question} ${option}`);
  for (const c of p.cycles ?? []) {
    if (c.steps.length === 0) say(null, 'a cycle has no steps');
    if (!c.steps.every((k) => before.has(k))) say(null, 'a cycle names a step that is not there');
    if (new Set(c.steps).size < c.steps.length) say(null, 'a cycle names a step twice');
    if (!(c.times >= 1 && c.times <= 10) || !(c.every > 0 && c.every <= 10))
      say(null, 'a cycle turns 1 to 10 times');
  }
  return faults;
}
