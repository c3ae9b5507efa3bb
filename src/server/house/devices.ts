import { join } from 'node:path';
import { dataFolder } from '@/data/database';
import type { LabelPrinter } from '@/devices/printer/labelPrinter';
import { spoolPrinter } from '@/devices/printer/spoolPrinter';
import { tcpPrinter } from '@/devices/printer/tcpPrinter';
import { tcpLogger, type SmokeLogger } from '@/devices/probe/smokeLogger';
import { tcpProbe, type Probe } from '@/devices/probe/probe';
import type { Scale } from '@/devices/scale/scale';
import { TcpScale } from '@/devices/scale/tcpScale';
import { deviceAddress } from '@/devices/wire/address';

export type Devices = {
  /** The bench scale of the wrap table. */
  readonly scale: Scale;
  /** The scale of the rail and the block. */
  readonly railScale: Scale;
  /** The scale for seasoning and curing salt, in grams. */
  readonly spiceScale: Scale;
  readonly printer: LabelPrinter;
  readonly probe: Probe;
  /** The probes that stay in the meat of the smokehouse. */
  readonly logger: SmokeLogger;
};

/** Where printed labels can be looked at. */
export function spoolFolder(): string {
  return join(dataFolder(), 'labels');
}

/** Where nothing is connected: it does not answer. */
const NOWHERE = 'tcp://127.0.0.1:1';

const holder = globalThis as { fractumDevices?: Devices };

/** The shop's devices, one wire to each for the whole process; FRACTUM_SCALE_KEY signs what was heard from scales. */
export function devices(): Devices {
  holder.fractumDevices ??= connected(process.env);
  return holder.fractumDevices;
}

function connected(env: NodeJS.ProcessEnv): Devices {
  const { FRACTUM_BENCH_SCALE, FRACTUM_RAIL_SCALE, FRACTUM_SPICE_SCALE, FRACTUM_PRINTER, FRACTUM_PROBE } =
    env;
  const { FRACTUM_SMOKE_LOGGER } = env;
  const key = env.FRACTUM_SCALE_KEY ?? '';
  const scale = new TcpScale(deviceAddress(FRACTUM_BENCH_SCALE ?? NOWHERE), key);
  return {
    scale,
    // A shop with one scale uses it for both.
    railScale: FRACTUM_RAIL_SCALE ? new TcpScale(deviceAddress(FRACTUM_RAIL_SCALE), key) : scale,
    spiceScale: new TcpScale(deviceAddress(FRACTUM_SPICE_SCALE ?? NOWHERE), key),
    printer: FRACTUM_PRINTER ? tcpPrinter(deviceAddress(FRACTUM_PRINTER)) : spoolPrinter(spoolFolder()),
    probe: tcpProbe(deviceAddress(FRACTUM_PROBE ?? NOWHERE)),
    logger: tcpLogger(deviceAddress(FRACTUM_SMOKE_LOGGER ?? NOWHERE)),
  };
}
