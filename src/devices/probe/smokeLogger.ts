import type { ProbeReading } from '@/core/smokehouse/plan';
import type { DeviceAddress } from '../wire/address';
import { LineWire } from '../wire/lineWire';

/** So many probes hang in smokehouse and coolers at once. */
export const LOGGER_CHANNELS = 4;

/** A logger whose probes stay in the meat from the fire to the cooler, and remember what they read. */
export interface SmokeLogger {
  /** Begins a channel anew: its minutes count from now. @throws Error when it does not answer */
  begin(channel: number): Promise<void>;
  /** What a channel has read from a minute on, in order; degrees Fahrenheit. @throws Error when it does not answer */
  since(channel: number, minute: number): Promise<ProbeReading[]>;
}

/** `L 1 135 158.4 F`: channel, minute, how warm, by which scale. */
export function loggerLine(
  channel: number,
  { minute, degrees }: ProbeReading,
  scale: 'C' | 'F' = 'F',
): string {
  const shown = scale === 'F' ? degrees : ((degrees - 32) * 5) / 9;
  return `L ${channel} ${minute} ${shown.toFixed(1)} ${scale}`;
}

/** What a line of a logger says; undefined for noise, and for another channel. */
export function loggerReadingOf(line: string, channel: number): ProbeReading | undefined {
  const found = /^L (\d) (\d{1,5}) (-?\d{1,3}\.\d) ([CF])$/.exec(line);
  if (!found || Number(found[1]) !== channel) return undefined;
  const degrees = Number(found[3]);
  return { minute: Number(found[2]), degrees: found[4] === 'F' ? degrees : (degrees * 9) / 5 + 32 };
}

/** Of one answer no more is believed: days of readings. */
const MOST_LINES = 20_000;

/** A logger behind plain text over TCP (docs/devices.md). */
export function tcpLogger(address: DeviceAddress): SmokeLogger {
  const talk = (say: string, ends: string) =>
    new Promise<string[]>((resolve, reject) => {
      const lines: string[] = [];
      const wire = new LineWire(address, {
        onLine: (line) => {
          if (line === ends) {
            wire.close();
            resolve(lines);
          } else if (lines.length < MOST_LINES) lines.push(line);
        },
        onEnd: reject,
      });
      wire.say(say);
    });
  return {
    begin: async (channel) => void (await talk(`Z ${channel}`, 'Z OK')),
    since: async (channel, minute) => {
      const lines = await talk(`L ${channel} ${minute}`, 'L END');
      return lines.flatMap((line) => loggerReadingOf(line, channel) ?? []);
    },
  };
}
