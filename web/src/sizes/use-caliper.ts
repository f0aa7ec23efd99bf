import { useCallback, useEffect, useRef, useState } from 'react';
import { lineCutter, readingOf } from '@gonimos/core/measuring';
import { unitSystem } from '../common/units';

/** What of the browser's serial ports is used here; not every browser has them. */
interface SerialPort {
  open: (how: { baudRate: number }) => Promise<void>;
  close: () => Promise<void>;
  readable: ReadableStream<Uint8Array> | null;
}
interface Serial {
  requestPort: () => Promise<SerialPort>;
}

const serial = (): Serial | undefined => (navigator as Navigator & { serial?: Serial }).serial;
export const hasSerial = (): boolean => serial() !== undefined;

/** What most tools with a cable speak at. */
const BAUD = 9600;

type Heard = (line: string) => void;

/** Lines of an event stream, one reading to a message; see contract/src/caliper.ts. Gives how to stop. */
function listen(address: string, heard: Heard, failed: (why: string) => void): () => void {
  const source = new EventSource(address);
  source.onmessage = (e: MessageEvent<string>) => heard(e.data);
  source.onerror = () => {
    source.close();
    failed(`Nothing is heard from ${address}.`);
  };
  return () => source.close();
}

/** Lines of a serial port that the person picks. Gives how to stop; null when none was picked. */
async function listenToPort(heard: Heard, failed: (why: string) => void): Promise<(() => void) | null> {
  const port = await serial()!
    .requestPort()
    .catch(() => null);
  if (!port) return null;
  await port.open({ baudRate: BAUD });
  const reader = port.readable!.getReader();
  const letters = new TextDecoder();
  const cut = lineCutter();
  const read = async () => {
    for (;;) {
      const { value, done } = await reader.read();
      if (done) return;
      cut(letters.decode(value, { stream: true })).forEach(heard);
    }
  };
  read()
    .catch(() => failed('The caliper was unplugged.'))
    .finally(() => {
      reader.releaseLock();
      void port.close().catch(() => undefined);
    });
  return () => void reader.cancel().catch(() => undefined);
}

export interface Caliper {
  listening: boolean;
  trouble: string | null;
  stop: () => void;
  toAddress: (address: string) => void;
  toPort: () => Promise<void>;
}

/** A digital caliper that is listened to; `taken` gets each size, mm. What is no size is told and not taken. */
export function useCaliper(taken: (mm: number) => void): Caliper {
  const [listening, setListening] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const end = useRef<(() => void) | null>(null);
  const latest = useRef(taken);
  useEffect(() => {
    latest.current = taken;
  });
  const stop = useCallback(() => {
    end.current?.();
    end.current = null;
    setListening(false);
  }, []);
  useEffect(() => () => end.current?.(), []);
  const heard = (line: string) => {
    const mm = readingOf(line, unitSystem());
    setTrouble(mm === null ? `The caliper sent ‘${line.slice(0, 20)}’, which is no size.` : null);
    if (mm !== null) latest.current(mm);
  };
  const failed = (why: string) => {
    setTrouble(why);
    stop();
  };
  const begin = (stopper: (() => void) | null) => {
    end.current = stopper;
    setListening(stopper !== null);
  };
  return {
    listening,
    trouble,
    stop,
    toAddress: (address) => {
      stop();
      setTrouble(null);
      begin(listen(address, heard, failed));
    },
    toPort: async () => {
      stop();
      setTrouble(null);
      try {
        begin(await listenToPort(heard, failed));
      } catch {
        failed('The port cannot be opened; something else may be using it.');
      }
    },
  };
}
