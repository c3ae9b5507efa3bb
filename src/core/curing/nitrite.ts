/** Parts of a million. */
const MILLION = 1e6;

/** Nitrite in the pink curing salt of the trade, as a share of it. */
export const PINK_SALT_NITRITE = 0.0625;

/** So much curing salt of a strength, in any one unit of weight. */
export type Cure = { readonly cure: number; readonly nitriteShare?: number };

/**
 * Ingoing nitrite of what is cured dry or mixed into ground meat, parts of a million of the meat.
 *
 * @param meat - in the unit of the cure, above zero
 * @example ingoingPpm({ cure: 0.0625 }, 25) // => 156.25
 */
export function ingoingPpm({ cure, nitriteShare = PINK_SALT_NITRITE }: Cure, meat: number): number {
  return (cure * nitriteShare * MILLION) / positive('meat', meat);
}

/**
 * Curing salt that brings so much nitrite into meat.
 *
 * @example (cureFor(150, 25) * 453.59237).toFixed(1) // => '27.2'
 */
export function cureFor(ppm: number, meat: number, nitriteShare = PINK_SALT_NITRITE): number {
  return (ppm * meat) / (MILLION * positive('nitriteShare', nitriteShare));
}

/**
 * Nitrite of a brine, parts of a million of all of it.
 *
 * @example brinePpm({ cure: 2.4 }, 100) // => 1500
 */
export function brinePpm({ cure, nitriteShare = PINK_SALT_NITRITE }: Cure, brine: number): number {
  return (cure * nitriteShare * MILLION) / positive('brine', brine);
}

/**
 * Ingoing nitrite of a piece that took up so much brine, percent of its green weight: by the pump, or lying in it. What
 * drains off lowers it, and is not counted.
 *
 * @example takenUpPpm(1500, 10) // => 150
 */
export function takenUpPpm(brine: number, pct: number): number {
  return (brine * pct) / 100;
}

/**
 * What must be in a hundred of a brine so that so much of it, percent of the green weight, brings what is wanted.
 *
 * @param part - share of the salt that counts: 0.0625 for pink salt, 1 for erythorbate
 * @example perHundredBrine({ ppm: 120, pct: 12, part: 0.0625 }).toFixed(2) // => '1.60'
 */
export function perHundredBrine({ ppm, pct, part }: { ppm: number; pct: number; part: number }): number {
  return (100 * ppm) / (MILLION * (positive('pct', pct) / 100) * positive('part', part));
}

/**
 * Ingoing nitrite where meat and brine come level: another recipe than a pumping brine, and never its strength.
 *
 * @example equilibriumPpm({ cure: 0.072 }, { meat: 20, brine: 10 }) // => 150
 */
export function equilibriumPpm(
  { cure, nitriteShare = PINK_SALT_NITRITE }: Cure,
  { meat, brine }: { meat: number; brine: number },
): number {
  return (cure * nitriteShare * MILLION) / positive('meat and brine', meat + brine);
}

function positive(name: string, value: number): number {
  if (!(value > 0)) throw new RangeError(`"${name}" expected above 0, got ${value}`);
  return value;
}
