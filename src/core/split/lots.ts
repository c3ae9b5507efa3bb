import type { Forecast, ForecastLine } from '../forecast/types';
import type { Destination } from '../species/types';
import type { Lot } from './problem';

/**
 * What a pound is worth against a pound of ground meat, where no shop has said otherwise: invented, and a setting.
 * Only the proportion counts: it keeps one household from getting all the steaks and another all the bones.
 */
export const WORTH: Readonly<Record<Destination, number>> = {
  steaks: 3,
  roasts: 2,
  cured: 2.2,
  grind: 1,
  bones: 0.4,
  offal: 0.5,
  lost: 0,
};

/** The packages that a forecast expects, each line's alike; odd thousandths go to the first package of a line. */
export function lotsOf(expected: Forecast, worth: Readonly<Record<Destination, number>> = WORTH): Lot[] {
  return expected.lines.filter((line) => line.packs > 0).flatMap((line) => lotsOfLine(line, worth));
}

function lotsOfLine(line: ForecastLine, worth: Readonly<Record<Destination, number>>): Lot[] {
  const each = Math.floor(line.packaged / line.packs);
  const odd = line.packaged - each * line.packs;
  const lot = (packages: number, weight: number): Lot => ({
    cut: line.cut,
    packages,
    weight,
    worth: weight * worth[line.destination],
  });
  if (odd === 0) return [lot(line.packs, each)];
  return line.packs === 1 ? [lot(1, line.packaged)] : [lot(1, each + odd), lot(line.packs - 1, each)];
}
