import type { Forecast } from '../forecast/types';
import { sumWeights, type Weight } from '../quantity/weight';
import { DESTINATIONS, type Destination } from '../species/types';
import { reconciliationOf } from './settling';
import type { ShareFile } from './shareFile';
import { planOf } from './standing';

/** One part of the hanging weight: where it went, or will go. */
export type PartOfWhole = {
  readonly key: string;
  readonly label: string;
  readonly weight: Weight;
  readonly destination: Destination;
  /** Weighed to no account yet: still on the block, or unaccounted once it is closed. */
  readonly open: boolean;
};

/** What each destination is called in the bar. */
export const DESTINATION_LABELS: Readonly<Record<Destination, string>> = {
  steaks: 'steaks, chops',
  roasts: 'roasts',
  grind: 'grind',
  cured: 'cured and smoked',
  bones: 'ribs, bones',
  offal: 'offal, fat kept',
  lost: 'lost',
};

/**
 * The whole hanging weight of a share in its parts: as expected before the block, as weighed from there on. They add up
 * to the cold weight to the thousandth; what is weighed to nothing yet is a part of its own.
 */
export function wholeOf(file: ShareFile): PartOfWhole[] {
  const parts = file.start ? weighedParts(file) : expectedParts(planOf(file).expected);
  return parts.filter((part) => part.weight !== 0);
}

function boxed(weightOf: (destination: Destination) => Weight): PartOfWhole[] {
  return DESTINATIONS.filter((destination) => destination !== 'lost').map((destination) => ({
    key: destination,
    label: DESTINATION_LABELS[destination],
    weight: weightOf(destination),
    destination,
    open: false,
  }));
}

function lost(key: string, weight: Weight, open = false): PartOfWhole {
  return { key, label: key, weight, destination: 'lost', open };
}

/** Where a forecast says that the weight goes. */
export function expectedParts({ lines, losses }: Pick<Forecast, 'lines' | 'losses'>): PartOfWhole[] {
  const { bone, fat, skin, inedible, cure, kerf, grinder, cuttingShrink } = losses;
  return [
    ...boxed((destination) =>
      sumWeights(lines.filter((line) => line.destination === destination).map((line) => line.packaged)),
    ),
    lost('bone', bone),
    lost('fat', fat),
    lost('skin', skin),
    lost('cure, saw, air', sumWeights([inedible, cure, kerf, grinder, cuttingShrink])),
  ];
}

/** The bar has little room for words: its parts are named in one. */
const SHORT: Readonly<Record<string, string>> = {
  'glands, condemned': 'glands',
  'left in the grinder': 'grinder',
  'cure and smoke': 'cure',
  'still in the tub': 'in the tub',
  'still in cure': 'in cure',
};

function weighedParts(file: ShareFile): PartOfWhole[] {
  const { bridge, unaccounted } = reconciliationOf(file);
  const packs = file.weighings.filter((each) => each.kind === 'package');
  return [
    ...boxed((destination) =>
      sumWeights(packs.filter((pack) => pack.destination === destination).map((pack) => pack.net)),
    ),
    ...bridge
      .filter((step) => step.lost && step.label !== 'unaccounted')
      .map((step) => lost(SHORT[step.label] ?? step.label, step.weight)),
    lost(file.closing ? 'unaccounted' : 'on the block', unaccounted, true),
  ];
}
