/** A worker of the interface in a thread of the test: what it listens to and answers with is the thread's own. */
import { parentPort, workerData } from 'node:worker_threads';
import '@oxc-node/core/register';

globalThis.addEventListener = (type, listener) => {
  if (type === 'message') parentPort.on('message', (data) => listener({ data }));
};
globalThis.removeEventListener = () => undefined;
globalThis.postMessage = (message, transfer) => parentPort.postMessage(message, transfer);
await import(workerData);
