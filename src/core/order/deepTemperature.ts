import type { Instant } from '../time/shopTime';
import type { SideId } from './animal';

/** What a probe read in the thickest part of a side, beside the bone. */
export type DeepTemperature = {
  readonly id: string;
  readonly clientId: string;
  readonly sideId: SideId;
  /** Tenths of a degree Fahrenheit, whatever the probe shows. */
  readonly tenthsF: number;
  readonly origin: 'probe' | 'typed';
  readonly at: Instant;
  readonly actorId: string;
};

/** Meat is cut at or under 40 F (processing figures, cautions); the shop's own plan and local code stand above it. */
const COLD_TENTHS_F = 400;

export function isCold({ tenthsF }: Pick<DeepTemperature, 'tenthsF'>): boolean {
  return tenthsF <= COLD_TENTHS_F;
}

/** Tenths of a degree of either scale as tenths of Fahrenheit. */
export function toTenthsF(tenths: number, scale: 'C' | 'F'): number {
  return scale === 'F' ? tenths : Math.round(tenths * 1.8) + 320;
}

/** As a shop says it that weighs in pounds, or in kilograms: `38.4 °F`, `3.6 °C`. */
export function degreesWords(tenthsF: number, unit: 'lb' | 'kg'): string {
  return unit === 'lb' ? `${(tenthsF / 10).toFixed(1)} °F` : `${((tenthsF - 320) / 18).toFixed(1)} °C`;
}
