import { weight } from '../quantity/weight';
import type { Ground } from '../questions/evaluate';
import type { Situation } from '../sheet/situation';
import { speciesById } from './catalogue';
import { demoPrices } from './prices';

/** A usual half, cold, in pounds. */
export const COLD = { beef: 362, hog: 91, lamb: 30 } as const;

/** A side as it usually hangs, in a shop with a saw. */
export function plainSide(id: string): Situation {
  return { species: speciesById(id), unit: 'lb', sides: 1, addOns: [], tools: ['band-saw'] };
}

/** What a sheet of half an animal of usual weight is worked out against. */
export function groundOf(id: keyof typeof COLD): Ground {
  return {
    situation: plainSide(id),
    coldSides: [weight(COLD[id])],
    priceList: demoPrices.at(-1)!,
    bill: {
      animal: { species: id, hot: weight(COLD[id] * 2.1) },
      hot: weight(COLD[id] * 1.03),
      headSplit: { parts: [1, 1], index: 0 },
      deposit: 0 as never,
    },
  };
}
