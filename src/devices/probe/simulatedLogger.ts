import type { Server } from 'node:net';
import type { ProbeReading } from '@/core/smokehouse/plan';
import { lineServer } from '../wire/lineServer';
import { loggerLine } from './smokeLogger';

/** What a load can do: minutes since it was lit with the degrees inside, straight lines between. */
export const CURVES = {
  kept: [
    [0, 38],
    [180, 90],
    [420, 150],
    [450, 159],
    [480, 130],
    [600, 92],
    [690, 74],
    [900, 52],
    [1080, 43],
    [1140, 40],
  ],
  slow: [
    [0, 38],
    [180, 90],
    [420, 150],
    [450, 159],
    [480, 130],
    [620, 106],
    [780, 86],
    [820, 79],
    [1000, 58],
    [1260, 43],
    [1320, 40],
  ],
  cool: [
    [0, 38],
    [180, 85],
    [420, 128],
    [450, 141],
    [480, 129],
    [600, 92],
    [690, 74],
    [900, 52],
    [1080, 43],
    [1140, 40],
  ],
} as const satisfies Readonly<Record<string, readonly (readonly [number, number])[]>>;

export type CurveName = keyof typeof CURVES;

/** A logger writes down what it reads this often, minutes. */
const EVERY = 5;

const MINUTE_MS = 60_000;

type Channel = { readonly begun: number };

/** A logger that stands in for a real one: a hand at its panel says what the meat does, and how fast its time goes. */
export class SimulatedLogger {
  private readonly channels = new Map<number, Channel>();
  private curve: CurveName = 'kept';
  private speed = 1;
  private silent = false;
  private silences: { readonly from: number; readonly to: number }[] = [];

  readonly server: Server = lineServer((line) => this.answer(line));

  private answer(line: string): string | undefined {
    const [, does, channel, from = '0'] = /^([ZL]) (\d)(?: (\d{1,5}))?$/.exec(line) ?? [];
    if (does === 'Z') {
      this.channels.set(Number(channel), { begun: Date.now() });
      this.silences = [];
      return 'Z OK';
    }
    if (does !== 'L') return undefined;
    const lines = this.readings(Number(channel), Number(from)).map((each) =>
      loggerLine(Number(channel), each),
    );
    return [...lines, 'L END'].join('\r\n');
  }

  /** @returns what is wrong with what a hand did; undefined when it was done */
  hand(does: string, { curve, speed, on }: Record<string, unknown>): string | undefined {
    if (does === 'curve') {
      if (typeof curve !== 'string' || !(curve in CURVES)) return 'Say kept, slow or cool.';
      this.curve = curve as CurveName;
    } else if (does === 'speed') {
      const said = Number(speed);
      if (!(said >= 1 && said <= 100_000)) return 'Say how many times as fast: 1 to 100000.';
      this.speed = said;
    } else this.beSilent(on === true);
    return undefined;
  }

  state() {
    const [channel] = [...this.channels.keys()];
    return {
      curve: this.curve,
      speed: this.speed,
      silent: this.silent,
      minute: channel === undefined ? null : this.minuteOf(channel),
      degrees: channel === undefined ? null : degreesAt(this.curve, this.minuteOf(channel)),
    };
  }

  private beSilent(silent: boolean): void {
    if (silent === this.silent) return;
    this.silent = silent;
    const [channel] = [...this.channels.keys()];
    const minute = channel === undefined ? 0 : this.minuteOf(channel);
    if (silent) this.silences = [...this.silences, { from: minute, to: Number.POSITIVE_INFINITY }];
    else this.silences = this.silences.map((each) => ({ ...each, to: Math.min(each.to, minute) }));
  }

  private minuteOf(channel: number): number {
    const known = this.channels.get(channel);
    return known ? Math.floor(((Date.now() - known.begun) * this.speed) / MINUTE_MS) : -1;
  }

  private readings(channel: number, from: number): ProbeReading[] {
    const curve = CURVES[this.curve];
    const until = Math.min(this.minuteOf(channel), curve[curve.length - 1]![0]);
    const readings: ProbeReading[] = [];
    for (let minute = Math.ceil(from / EVERY) * EVERY; minute <= until; minute += EVERY) {
      if (this.silences.some((each) => minute > each.from && minute < each.to)) continue;
      readings.push({ minute, degrees: degreesAt(this.curve, minute) });
    }
    return readings;
  }
}

/** Degrees Fahrenheit inside the meat at a minute of a curve, to a tenth. */
export function degreesAt(name: CurveName, minute: number): number {
  const curve: readonly (readonly [number, number])[] = CURVES[name];
  const at = curve.findIndex(([to]) => to >= minute);
  if (at <= 0) return curve[at === 0 ? 0 : curve.length - 1]![1];
  const [[from, warm], [to, then]] = [curve[at - 1]!, curve[at]!];
  return Math.round(10 * (warm + ((then - warm) * (minute - from)) / (to - from))) / 10;
}
