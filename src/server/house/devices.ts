import { join } from 'node:path';
import { dataFolder } from '@/data/database';
import type { LabelPrinter } from '@/devices/printer/labelPrinter';
import { spoolPrinter } from '@/devices/printer/spoolPrinter';
import { httpScale } from '@/devices/scale/httpScale';
import type { Scale } from '@/devices/scale/scale';

export type Devices = {
  /** The bench scale of the wrap table. */
  readonly scale: Scale;
  /** The scale of the rail and the block. */
  readonly railScale: Scale;
  readonly printer: LabelPrinter;
};

/** Where printed labels can be looked at. */
export function spoolFolder(): string {
  return join(dataFolder(), 'labels');
}

/** Where the bench scale answers, and where its panel is; FRACTUM_SCALE_URL. */
function scaleAddress(): string {
  return process.env.FRACTUM_SCALE_URL ?? 'http://127.0.0.1:4010';
}

/** Where the rail scale answers; beside the bench scale unless FRACTUM_RAIL_SCALE_URL says where. */
function railScaleAddress(): string {
  return process.env.FRACTUM_RAIL_SCALE_URL ?? `${scaleAddress()}/rail`;
}

/** The shop's devices; FRACTUM_SCALE_KEY is shared with the scale. */
export function devices(): Devices {
  const key = process.env.FRACTUM_SCALE_KEY ?? '';
  return {
    scale: httpScale(scaleAddress(), key),
    railScale: httpScale(railScaleAddress(), key),
    printer: spoolPrinter(spoolFolder()),
  };
}
