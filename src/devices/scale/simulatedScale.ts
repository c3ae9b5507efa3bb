import type { Server, Socket } from 'node:net';
import type { ScaleUnit } from '@/core/scale/reading';
import { lineServer } from '../wire/lineServer';
import {
  emptyPlatform,
  identityOf,
  nextWeight,
  placeAgain,
  placeLoad,
  shake,
  takeTare,
  type Platform,
  type ScaleKind,
} from './platform';
import { identityLine, weightLine, type SaidWeight } from './scaleWords';

/** How often a scale says what it weighs. */
const WORDS_PER_SECOND = 8;

/** A scale that stands in for a real one: it says its weights over TCP, and a hand at its panel puts them on. */
export class SimulatedScale {
  private platform: Platform;
  private readonly lines = new Set<Socket>();
  private readonly panels = new Set<(said: SaidWeight) => void>();
  private noisy = false;
  private unplugged = false;

  constructor(
    readonly kind: ScaleKind,
    readonly unit: ScaleUnit,
  ) {
    this.platform = emptyPlatform(kind, unit, kind);
    setInterval(() => this.tell(), 1000 / WORDS_PER_SECOND);
  }

  /** Speaks to whoever connects. */
  readonly server: Server = lineServer(
    (line) => (line === 'T' ? (this.tare() === undefined ? 'T OK' : 'T NO') : undefined),
    (socket) => {
      if (this.unplugged) return void socket.destroy();
      socket.write(`${identityLine(identityOf(this.platform))}\r\n`);
      this.lines.add(socket);
      return void socket.on('close', () => this.lines.delete(socket));
    },
  );

  /** Tells a panel what the scale says, until the function that is returned is called. */
  show(panel: (said: SaidWeight) => void): () => void {
    this.panels.add(panel);
    return () => this.panels.delete(panel);
  }

  /** @returns what is wrong with what a hand did; undefined when it was done */
  hand(does: string, { weight, again, on }: Record<string, unknown>): string | undefined {
    switch (does) {
      case 'place':
        return this.place(Number(weight), again === true);
      case 'shake':
        this.platform = shake(this.platform, on === true);
        return undefined;
      case 'noise':
        this.noisy = on === true;
        return undefined;
      case 'unplug':
        this.unplug(on === true);
        return undefined;
      default:
        return this.tare();
    }
  }

  private tell(): void {
    const next = nextWeight(this.platform, Math.random() * 2 - 1);
    this.platform = next.platform;
    const line = weightLine(next.said, identityOf(this.platform).division);
    const noise = this.noisy ? `${line.slice(0, 4)}#~\r\n` : '';
    for (const socket of this.lines) socket.write(`${noise}${line}\r\n`);
    for (const panel of this.panels) panel(next.said);
  }

  private place(units: number, again: boolean): string | undefined {
    const thousandths = Math.round(units * 1000);
    if (!Number.isFinite(thousandths) || thousandths < 0) return 'Say a weight such as 2.50.';
    this.platform = (again ? placeAgain : placeLoad)(this.platform, thousandths);
    return undefined;
  }

  private tare(): string | undefined {
    const tared = takeTare(this.platform);
    if (tared === 'not-steady') return 'Wait until the scale is steady, then tare.';
    this.platform = tared;
    return undefined;
  }

  private unplug(on: boolean): void {
    this.unplugged = on;
    if (on) for (const socket of this.lines) socket.destroy();
  }
}
