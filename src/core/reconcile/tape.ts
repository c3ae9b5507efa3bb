import { DESTINATION_WORDS, DESTINATIONS, type Destination } from '../species/types';
import type { Forecast } from '../forecast/types';
import { sumWeights, type Weight } from '../quantity/weight';
import { STEP_LABELS, type Reconciliation, type StepKind, type Weighed } from './reconcile';

/** Parts that are no packs: steps of the bridge, and what was expected to drip and dry. */
export type OtherPart = Exclude<StepKind, 'cold' | 'boxes'> | 'drip';

/** A length of the tape. */
export type TapePart = {
  readonly kind: Destination | OtherPart;
  readonly label: string;
  /** Below zero where a cure added more than it took, and for what was added. */
  readonly weight: Weight;
  /** Each pack of it, in the order they were weighed. */
  readonly packs: readonly Weight[];
};

/** One weight, cut finer line by line: as it was promised, and as it was done. Both add up to the cold weight. */
export type Tape = { readonly asked: readonly TapePart[]; readonly done: readonly TapePart[] };

/** The tape of a share: what its plan promised, and what was weighed; parts of nothing are left out. */
export function tapeOf(
  { lines, losses }: Pick<Forecast, 'lines' | 'losses'>,
  { bridge }: Pick<Reconciliation, 'bridge'>,
  weighed: readonly Weighed[],
): Tape {
  const packed = weighed.filter(({ kind }) => kind === 'package');
  const held = (kind: OtherPart) =>
    sumWeights(bridge.filter((step) => step.kind === kind).map((step) => step.weight));
  const asked = DESTINATIONS.map((destination) => {
    const own = lines.filter((line) => line.destination === destination);
    return part(destination, sumWeights(own.map(({ packaged }) => packaged)));
  });
  const done = DESTINATIONS.map((destination) => {
    const packs = packed.filter((each) => each.destination === destination).map(({ net }) => net);
    return part(destination, sumWeights(packs), packs);
  });
  const { fat, bone, skin, inedible, cure, kerf, grinder, cuttingShrink } = losses;
  return {
    asked: [
      ...asked,
      other('fat', fat),
      other('bone', bone),
      other('skin', skin),
      other('inedible', inedible),
      other('cure', cure),
      other('drip', sumWeights([kerf, grinder, cuttingShrink])),
    ].filter(({ weight }) => weight !== 0),
    done: [
      ...done,
      ...(
        [
          'inTub',
          'inCure',
          'fat',
          'bone',
          'skin',
          'inedible',
          'cure',
          'added',
          'grinder',
          'pooled',
          'unaccounted',
        ] as const
      ).map((kind) => other(kind, held(kind))),
    ].filter(({ weight }) => weight !== 0),
  };
}

function part(kind: Destination, weight: Weight, packs: readonly Weight[] = []): TapePart {
  return { kind, label: DESTINATION_WORDS[kind], weight, packs };
}

function other(kind: OtherPart, weight: Weight): TapePart {
  return { kind, label: kind === 'drip' ? 'drip, saw dust' : STEP_LABELS[kind], weight, packs: [] };
}

/** How long a part is, as percent of a length; what is below zero has no length. */
export type Placed = TapePart & { readonly long: number };

export function placed(parts: readonly TapePart[], whole: Weight): Placed[] {
  return parts.map((each) => ({ ...each, long: whole > 0 ? (100 * Math.max(0, each.weight)) / whole : 0 }));
}
