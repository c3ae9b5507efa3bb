import type { DeviceAddress } from '../wire/address';
import { LineWire } from '../wire/lineWire';

/** What a probe thermometer reads, tenths of a degree in its own scale. */
export type ProbeReading = {
  readonly probeId: string;
  readonly tenths: number;
  readonly scale: 'C' | 'F';
  readonly steady: boolean;
};

/** Any probe thermometer that the shop connects. */
export interface Probe {
  /** The next reading. @throws Error when the probe does not answer */
  read(): Promise<ProbeReading>;
}

/** `P probe-1 S 38.4 F`: who, steady (S) or moving (M), how warm, by which scale. */
export function probeLine({ probeId, tenths, scale, steady }: ProbeReading): string {
  return `P ${probeId} ${steady ? 'S' : 'M'} ${(tenths / 10).toFixed(1)} ${scale}`;
}

/** What a line of a probe says; undefined for noise. */
export function probeReadingOf(line: string): ProbeReading | undefined {
  const found = /^P ([\w-]{1,40}) ([SM]) (-?\d{1,3}\.\d) ([CF])$/.exec(line);
  if (!found) return undefined;
  const [, probeId, state, degrees, scale] = found;
  return {
    probeId: probeId!,
    tenths: Math.round(Number(degrees) * 10),
    scale: scale as 'C' | 'F',
    steady: state === 'S',
  };
}

/** A probe that says its temperature over and over, in plain text over TCP (docs/devices.md). */
export function tcpProbe(address: DeviceAddress): Probe {
  return {
    read: () =>
      new Promise((resolve, reject) => {
        const wire = new LineWire(address, {
          onLine: (line) => {
            const reading = probeReadingOf(line);
            if (!reading) return;
            wire.close();
            resolve(reading);
          },
          onEnd: reject,
        });
      }),
  };
}
