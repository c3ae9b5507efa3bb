import { beginWatch, loadIdOf, nextWatch, type LoadWatch } from '@/core/scale/loads';
import type { SignedReading } from '@/core/scale/reading';
import type { DeviceAddress } from '../wire/address';
import { LineWire } from '../wire/lineWire';
import type { Scale } from './scale';
import { heardOf, type SaidWeight, type ScaleIdentity } from './scaleWords';
import { isGenuine, signReading } from './signature';

type Watcher = {
  readonly onReading: (reading: SignedReading) => void;
  readonly onEnd: (error: Error) => void;
};

/**
 * A scale that says its weights in plain text over TCP (docs/devices.md). One wire for all who watch; it is opened when
 * somebody does and closed when nobody does. The shop signs what it has heard, so that it knows its own words again
 * when a table brings them back.
 */
export class TcpScale implements Scale {
  private readonly watchers = new Set<Watcher>();
  private wire: LineWire | undefined;
  private identity: ScaleIdentity | undefined;
  private load: LoadWatch;

  /**
   * @param key - the shop's own, that nobody else has
   * @param clock - the shop's
   */
  constructor(
    private readonly address: DeviceAddress,
    private readonly key: string,
    private readonly clock: () => Date = () => new Date(),
  ) {
    this.load = beginWatch(this.clock().getTime().toString(36));
  }

  watch(onReading: (reading: SignedReading) => void, signal: AbortSignal): Promise<void> {
    if (signal.aborted) return Promise.resolve();
    return new Promise((resolve, reject) => {
      const watcher: Watcher = { onReading, onEnd: reject };
      this.watchers.add(watcher);
      signal.addEventListener('abort', () => {
        this.watchers.delete(watcher);
        if (this.watchers.size === 0) this.hangUp();
        resolve();
      });
      this.wire ??= this.connect();
    });
  }

  tare(): Promise<'taken' | 'moving'> {
    // The first line of a connection says who the scale is; the answer is the first that is about the tare.
    return new Promise((resolve, reject) => {
      const wire = new LineWire(this.address, {
        onLine: (line) => {
          const heard = heardOf(line);
          if (!heard || !('tare' in heard)) return;
          wire.close();
          resolve(heard.tare);
        },
        onEnd: reject,
      });
      wire.say('T');
    });
  }

  vouches(reading: SignedReading): boolean {
    return isGenuine(reading, this.key);
  }

  private connect(): LineWire {
    return new LineWire(this.address, {
      onLine: (line) => this.hear(line),
      onEnd: (error) => {
        this.wire = undefined;
        const left = [...this.watchers];
        this.watchers.clear();
        for (const { onEnd } of left) onEnd(error);
      },
    });
  }

  private hangUp(): void {
    this.wire?.close();
    this.wire = undefined;
  }

  private hear(line: string): void {
    const heard = heardOf(line);
    if (!heard) return;
    if ('identity' in heard) this.identity = heard.identity;
    if ('weight' in heard && this.identity) this.tell(heard.weight, this.identity);
  }

  private tell({ state, gross, tare }: SaidWeight, { scaleId, unit, division }: ScaleIdentity): void {
    this.load = nextWatch(this.load, { state, gross }, division);
    const found = this.load.found ? { found: true } : {};
    const reading = {
      scaleId,
      loadId: loadIdOf(this.load),
      gross,
      tare,
      net: gross - tare,
      unit,
      state,
      ...found,
    };
    const signed = signReading(reading, this.clock(), this.key);
    for (const { onReading } of this.watchers) onReading(signed);
  }
}
