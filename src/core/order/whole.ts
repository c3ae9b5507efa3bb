import type { Forecast } from '../forecast/types';
import { sumWeights, type Weight } from '../quantity/weight';
import type { StepKind } from '../reconcile/reconcile';
import { DESTINATIONS, DESTINATION_WORDS, type Destination } from '../species/types';
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
    label: DESTINATION_WORDS[destination],
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
const SHORT: Readonly<Partial<Record<StepKind, string>>> = {
  inedible: 'glands',
  grinder: 'grinder',
  pooled: 'pool',
  cure: 'cure',
  added: 'added',
  inTub: 'in the tub',
  inCure: 'in cure',
};

function weighedParts(file: ShareFile): PartOfWhole[] {
  const { bridge, unaccounted } = reconciliationOf(file);
  const packs = file.weighings.filter((each) => each.kind === 'package');
  return [
    ...boxed((destination) =>
      sumWeights(packs.filter((pack) => pack.destination === destination).map((pack) => pack.net)),
    ),
    ...bridge
      .filter((step) => step.lost && step.kind !== 'unaccounted')
      .map((step) => lost(SHORT[step.kind] ?? step.label, step.weight)),
    lost(file.closing ? 'unaccounted' : 'on the block', unaccounted, true),
  ];
}
