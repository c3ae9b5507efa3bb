import { EventEmitter } from 'node:events';
import type { ShareId } from '@/core/order/animal';

/** Something that was done and is safe on disk. */
export type HouseEvent = {
  /** The use case that did it. */
  readonly asked: string;
  /** The id it was asked with; whoever asked knows of it from the answer. */
  readonly clientId?: string;
  /** Shares that stand differently since. */
  readonly shares: readonly ShareId[];
};

/** Who wants to know of what was done. One process, so an emitter is enough. */
export class Events {
  private readonly emitter = new EventEmitter().setMaxListeners(0);

  publish(event: HouseEvent): void {
    this.emitter.emit('done', event);
  }

  /** @returns a function that ends it */
  subscribe(listener: (event: HouseEvent) => void): () => void {
    this.emitter.on('done', listener);
    return () => this.emitter.off('done', listener);
  }
}
