import { Signal } from '../signal';
import type { Heard, Topic } from './stream';
import { Switchboard, type Wish } from './switchboard';

type Listener = (heard: Heard) => void;

/** Whether the house can be heard from this browser; it is believed to be there until it is known not to be. */
export const connection = new Signal<'there' | 'away'>('there');

const listeners = new Map<Topic, Set<Listener>>();
let send: ((wish: Wish) => void) | undefined;

function hear(heard: Heard): void {
  if (heard.topic === 'events') connection.set(heard.kind === 'away' ? 'away' : 'there');
  for (const listener of [...(listeners.get(heard.topic) ?? [])]) listener(heard);
}

/** To the worker that all tabs share; where a browser has none, each page holds its own streams. */
function connected(): (wish: Wish) => void {
  if (typeof SharedWorker === 'undefined') {
    const switchboard = new Switchboard();
    return (wish) => switchboard.wish(hear, wish);
  }
  const worker = new SharedWorker(new URL('./live.worker.ts', import.meta.url), { name: 'fractum-live' });
  worker.port.onmessage = ({ data }: MessageEvent<Heard>) => hear(data);
  worker.port.start();
  // Nobody tells a worker that a page has gone; a page that is kept and shown again wants to hear again.
  window.addEventListener('pagehide', () => worker.port.postMessage({ kind: 'leave' } satisfies Wish));
  window.addEventListener('pageshow', ({ persisted }) => {
    if (persisted) for (const topic of listeners.keys()) worker.port.postMessage({ kind: 'watch', topic });
  });
  return (wish) => worker.port.postMessage(wish);
}

/** Listens to a stream of the house. @returns a function that ends it */
export function listen(topic: Topic, listener: Listener): () => void {
  send ??= connected();
  const known = listeners.get(topic);
  const mine = known ?? new Set<Listener>();
  mine.add(listener);
  listeners.set(topic, mine);
  if (!known) send({ kind: 'watch', topic });
  return () => {
    mine.delete(listener);
    if (mine.size > 0) return;
    listeners.delete(topic);
    send?.({ kind: 'unwatch', topic });
  };
}
