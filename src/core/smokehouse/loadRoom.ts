import { convertUnits, formatWeight, type Weight, type WeighingUnit } from '../quantity/weight';

type Hanging = {
  /** Of what hangs in the load, and of what is to be hung beside it. */
  readonly hangs: Weight;
  readonly piece: Weight;
  /** What the shop's largest smokehouse takes at once, pounds; 0 where the shop has not said. */
  readonly mostLb: number;
  readonly unit: WeighingUnit;
};

/**
 * Why a piece has no room in a load; empty where it has. Smoke and air must get round each piece.
 *
 * @example whyNoRoom({ hangs, piece, mostLb: 120, unit: 'lb' }) // of 110 lb hanging and 18 lb more
 * // => 'The smokehouse takes 120.00 lb to a load, and 110.00 lb hang in this one. Begin another load.'
 */
export function whyNoRoom({ hangs, piece, mostLb, unit }: Hanging): string {
  const most = Math.round(convertUnits(mostLb, 'lb', unit) * 1000) as Weight;
  if (most === 0 || hangs + piece <= most) return '';
  const show = (net: Weight) => `${formatWeight(net, unit)} ${unit}`;
  return `The smokehouse takes ${show(most)} to a load, and ${show(hangs)} hang in this one. Begin another load.`;
}
