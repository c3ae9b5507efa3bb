import { carcassHere } from '../carcass/carcassHere';
import type { PriceList } from '../charges/priceList';
import { sideToCut } from '../hang/sideToCut';
import { situationSent, type GroundSent } from '../questions/groundOf';
import { ZERO_CENTS } from '../quantity/money';
import type { Weight, WeighingUnit } from '../quantity/weight';
import type { Situation } from '../sheet/situation';
import type { Species } from '../species/types';

type Typical = {
  readonly species: Species;
  readonly unit: WeighingUnit;
  readonly tools: readonly string[];
  readonly sides: 1 | 2;
};

/** What a sheet is answered for while no animal is there: a usual one of its species, hung as long as usual. */
export function typicalSituation({ species, unit, tools, sides }: Typical): Situation {
  const condition = { daysHung: species.hang.targetDays };
  return { species, unit, sides, addOns: [], tools, ...carcassHere(species), condition };
}

/** The same as it is sent to a browser, with a usual side's weight and with all the head charges that fall to it. */
export function typicalShare(typical: Typical, priceList: PriceList): GroundSent {
  const { species, unit, sides } = typical;
  const side = sideToCut(species, unit, {}).weight;
  const isWhole = sides === 2;
  const id = `typical-${species.id}-${sides}`;
  return {
    ...situationSent(typicalSituation(typical)),
    shareId: id,
    coldSides: Array.from({ length: sides }, () => side),
    priceList,
    bill: {
      animal: { species: species.id, hot: (2 * side) as Weight },
      hot: (sides * side) as Weight,
      headSplit: { parts: isWhole ? [1] : [0.5, 0.5], index: 0, sheets: isWhole ? 1 : 2 },
      deposit: ZERO_CENTS,
    },
    together: [{ id, sharePct: 100 }],
  };
}
