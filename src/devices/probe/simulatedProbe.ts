import type { Server, Socket } from 'node:net';
import { lineServer } from '../wire/lineServer';
import { probeLine, type ProbeReading } from './probe';

const WORDS_PER_SECOND = 4;
/** The part of the way to the meat's temperature that a probe goes between two words. */
const PACE = 0.35;
/** Closer than this it stands still, degrees. */
const CLOSE = 0.1;

/** A probe that stands in for a real one: a hand at its panel says what it is stuck into. */
export class SimulatedProbe {
  private meat = 38;
  private degrees = 38;
  private readonly lines = new Set<Socket>();

  constructor(private readonly scale: 'C' | 'F') {
    setInterval(() => this.tell(), 1000 / WORDS_PER_SECOND);
  }

  readonly server: Server = lineServer(
    () => undefined,
    (socket) => {
      this.lines.add(socket);
      socket.on('close', () => this.lines.delete(socket));
    },
  );

  reading(): ProbeReading {
    const steady = Math.abs(this.meat - this.degrees) < CLOSE;
    return { probeId: 'probe', tenths: Math.round(this.degrees * 10), scale: this.scale, steady };
  }

  /** @returns what is wrong with it; undefined when it was done */
  stick(degrees: number): string | undefined {
    if (!Number.isFinite(degrees) || Math.abs(degrees) > 500) return 'Say a temperature such as 38.5.';
    this.meat = degrees;
    return undefined;
  }

  private tell(): void {
    this.degrees += (this.meat - this.degrees) * PACE;
    if (Math.abs(this.meat - this.degrees) < CLOSE) this.degrees = this.meat;
    for (const socket of this.lines) socket.write(`${probeLine(this.reading())}\r\n`);
  }
}
