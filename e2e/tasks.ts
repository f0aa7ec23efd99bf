import type { Browser, Page } from 'playwright-core';
import { settled } from './screens.ts';

/** A task of the page's main thread, drawing among them, ms. */
export interface Task {
  /** of the processor: what the page itself worked */
  own: number;
  /** by the clock: with what it waited for the processor beside other programs */
  clock: number;
}

interface TraceEvent {
  name: string;
  pid: number;
  tid: number;
  /** µs by the clock, and of the processor */
  dur?: number;
  tdur?: number;
  args?: { name?: string };
}

function tasksOf(trace: Buffer): Task[] {
  const { traceEvents } = JSON.parse(trace.toString()) as { traceEvents: TraceEvent[] };
  const thread = (e: TraceEvent) => `${e.pid} ${e.tid}`;
  const pages = new Set(
    traceEvents.filter((e) => e.name === 'thread_name' && e.args?.name === 'CrRendererMain').map(thread),
  );
  const tasks = traceEvents.filter((e) => e.name === 'ThreadControllerImpl::RunTask' && pages.has(thread(e)));
  if (tasks.length === 0) throw new Error('the browser traced no task');
  return tasks.map((e) => ({ own: (e.tdur ?? 0) / 1000, clock: (e.dur ?? 0) / 1000 }));
}

/**
 * The tasks of a page while something is done on it, with what that gave. A page's own observer of long tasks sees
 * neither layout nor paint, and cannot tell work from waiting: server, database, browser and other journeys share
 * the cores of a machine, and a task of 5 ms can stand still for 70 while they have them.
 */
export async function traced<T>(
  browser: Browser,
  page: Page,
  act: () => Promise<T>,
): Promise<{ value: T; tasks: Task[] }> {
  await browser.startTracing(page, { categories: ['toplevel'] });
  const value = await act();
  return { value, tasks: tasksOf(await browser.stopTracing()) };
}

/** Waits until all a page asked for is there and drawn: what it takes to open is measured by itself. */
export async function atRest(page: Page): Promise<void> {
  await page.waitForLoadState('networkidle');
  await settled(page);
}

/** The longest by what a task is measured in. */
export const longest = (tasks: readonly Task[], by: keyof Task): number =>
  Math.max(...tasks.map((t) => t[by]));

/** A page is held up by its own work for no longer, ms. */
export const HELD_UP = 50;

/** The few longest tasks as a log line has them: own work, and by the clock. */
export const longestInWords = (tasks: readonly Task[]): string =>
  tasks
    .toSorted((a, b) => b.own - a.own)
    .slice(0, 4)
    .map((t) => `${t.own.toFixed(0)} (${t.clock.toFixed(0)} by the clock)`)
    .join(', ');
