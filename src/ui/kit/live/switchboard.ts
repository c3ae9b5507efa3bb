import { Stream, type Heard, type Topic } from './stream';

/** What a page asks of whoever holds the streams. */
export type Wish = { readonly kind: 'watch' | 'unwatch'; readonly topic: Topic } | { readonly kind: 'leave' };

type Listener = (heard: Heard) => void;
type Open = (topic: Topic, hear: Listener) => { close(): void };

/** One stream a topic, however many pages listen; it is closed when the last one has gone. */
export class Switchboard {
  private readonly streams = new Map<Topic, { close(): void }>();
  private readonly listeners = new Map<Topic, Set<Listener>>();
  /** The last that was heard of each topic: whoever comes late learns how it stands. */
  private readonly last = new Map<Topic, Heard>();

  constructor(private readonly open: Open = (topic, hear) => new Stream(topic, hear)) {}

  wish(listener: Listener, wish: Wish): void {
    if (wish.kind === 'watch') this.watch(listener, wish.topic);
    else if (wish.kind === 'unwatch') this.unwatch(listener, wish.topic);
    else for (const topic of [...this.listeners.keys()]) this.unwatch(listener, topic);
  }

  private watch(listener: Listener, topic: Topic): void {
    const known = this.listeners.get(topic);
    if (known) {
      known.add(listener);
      const last = this.last.get(topic);
      if (last) listener(last.kind === 'away' ? last : { topic, kind: 'there' });
      return;
    }
    this.listeners.set(topic, new Set([listener]));
    const hear = (heard: Heard) => {
      this.last.set(topic, heard);
      for (const each of this.listeners.get(topic) ?? []) each(heard);
    };
    this.streams.set(topic, this.open(topic, hear));
  }

  private unwatch(listener: Listener, topic: Topic): void {
    const listening = this.listeners.get(topic);
    if (!listening?.delete(listener) || listening.size > 0) return;
    this.streams.get(topic)?.close();
    for (const each of [this.streams, this.listeners, this.last]) each.delete(topic);
  }
}
