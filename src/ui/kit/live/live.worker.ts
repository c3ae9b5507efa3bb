import type { Heard } from './stream';
import { Switchboard, type Wish } from './switchboard';

/** Shared by all pages of one browser: a browser opens few connections to a house, and every tab wants to hear. */
const switchboard = new Switchboard();

(globalThis as unknown as SharedWorkerGlobal).onconnect = ({ ports }) => {
  const [port] = ports as [MessagePort];
  const listener = (heard: Heard) => port.postMessage(heard);
  port.onmessage = ({ data }: MessageEvent<Wish>) => switchboard.wish(listener, data);
};

type SharedWorkerGlobal = { onconnect: (event: { readonly ports: readonly MessagePort[] }) => void };
