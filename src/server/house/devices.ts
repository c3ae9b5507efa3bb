import { join } from 'node:path';
import { dataFolder } from '@/data/database';
import type { LabelPrinter } from '@/devices/printer/labelPrinter';
import { spoolPrinter } from '@/devices/printer/spoolPrinter';
import { httpScale } from '@/devices/scale/httpScale';
import type { Scale } from '@/devices/scale/scale';

export type Devices = { readonly scale: Scale; readonly printer: LabelPrinter };

/** Where printed labels can be looked at. */
export function spoolFolder(): string {
  return join(dataFolder(), 'labels');
}

/** Where the scale answers, and where its panel is; FRACTUM_SCALE_URL. */
export function scaleAddress(): string {
  return process.env.FRACTUM_SCALE_URL ?? 'http://127.0.0.1:4010';
}

/** The shop's devices; FRACTUM_SCALE_KEY is shared with the scale. */
export function devices(): Devices {
  return {
    scale: httpScale(scaleAddress(), process.env.FRACTUM_SCALE_KEY ?? ''),
    printer: spoolPrinter(spoolFolder()),
  };
}
