import { JSDOM } from 'jsdom';
import { Worker as Thread } from 'node:worker_threads';

/** The window of the tests of screens: it is imported before anything of the interface. */
declare global {
  var IS_REACT_ACT_ENVIRONMENT: boolean;
}

/** A worker is a thread that runs the very file a browser would. */
class ThreadWorker {
  readonly #thread: Thread;
  constructor(url: URL) {
    this.#thread = new Thread(new URL('./thread.mjs', import.meta.url), {
      workerData: url.href,
    });
    // a test that has ended waits for no thread
    this.#thread.unref();
  }
  addEventListener(type: string, listener: (e: { data: unknown }) => void): void {
    if (type === 'message') this.#thread.on('message', (data) => listener({ data }));
  }
  removeEventListener(): void {}
  postMessage(message: unknown, transfer: Transferable[] = []): void {
    this.#thread.postMessage(message, transfer as never[]);
  }
  terminate(): void {
    void this.#thread.terminate();
  }
}

/** Makes a browser's window the global one of this process: screens read it while they are loaded. */
function openWindow(): void {
  const { window } = new JSDOM('<!doctype html><body></body>', {
    url: 'http://nursery.test/',
    pretendToBeVisual: true,
  });
  const own = new Set(Object.getOwnPropertyNames(globalThis));
  for (const name of Object.getOwnPropertyNames(window))
    if (!own.has(name) || name === 'Event' || name === 'EventTarget')
      Object.defineProperty(globalThis, name, { get: () => window[name] as unknown, configurable: true });
  Object.defineProperty(globalThis, 'navigator', { value: window.navigator, configurable: true });
  Object.defineProperty(globalThis, 'window', { value: globalThis, configurable: true });
  globalThis.addEventListener = window.addEventListener.bind(window) as typeof addEventListener;
  globalThis.removeEventListener = window.removeEventListener.bind(window) as typeof removeEventListener;
  globalThis.dispatchEvent = (event: Event) => window.dispatchEvent(event);
  // what no browser of tests does: sheets open and close, lines are scrolled to, widths are those of a desk
  const dialog = window.HTMLDialogElement.prototype;
  dialog.showModal = function showModal(this: HTMLDialogElement) {
    this.open = true;
  };
  dialog.close = function close(this: HTMLDialogElement) {
    this.open = false;
  };
  window.Element.prototype.scrollIntoView = () => undefined;
  Object.defineProperty(window.Element.prototype, 'clientWidth', { value: 900, configurable: true });
  globalThis.matchMedia = (query: string) =>
    ({
      matches: /min-width/.test(query),
      media: query,
      addEventListener: () => undefined,
      removeEventListener: () => undefined,
    }) as unknown as MediaQueryList;
  globalThis.Worker = ThreadWorker as unknown as typeof Worker;
  globalThis.ResizeObserver = class {
    observe(): void {}
    unobserve(): void {}
    disconnect(): void {}
  };
}
// the loader may run this file twice, first as it would a file that waits for nothing
if (!('document' in globalThis)) openWindow();
globalThis.IS_REACT_ACT_ENVIRONMENT = false;
/** Days are read and written as in most of the world, whatever the machine of the test has. */
export const dayFirst = (): void => localStorage.setItem('date order', 'day first');
dayFirst();
