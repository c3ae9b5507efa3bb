import type { Forecast } from '../forecast/types';
import { localName } from '../forecast/lines';
import { cutsOf } from '../sheet/params';
import { decisionsAsked, whyNotOffered, type Situation } from '../sheet/situation';
import { sumWeights, type Weight } from '../quantity/weight';
import type { ShareId } from './animal';

/** How much there is of one cut, over all shares and share by share. */
export type CutOver = {
  readonly cut: string;
  readonly packs: number;
  readonly packaged: Weight;
  /** Packs of each share, by its id; a share without it is not named. */
  readonly of: Readonly<Record<ShareId, number>>;
};

type Expected = { readonly shareId: ShareId; readonly expected: Pick<Forecast, 'lines'> };

/** What several shares give together, cut by cut and kind of sausage by kind; what weighs most first. */
export function cutsOver(shares: readonly Expected[]): CutOver[] {
  const cuts = new Map<string, CutOver>();
  for (const { shareId, expected } of shares) {
    for (const { cut, packs, packaged } of expected.lines) {
      const so = cuts.get(cut) ?? { cut, packs: 0, packaged: 0 as Weight, of: {} };
      cuts.set(cut, {
        cut,
        packs: so.packs + packs,
        packaged: sumWeights([so.packaged, packaged]),
        of: { ...so.of, [shareId]: (so.of[shareId] ?? 0) + packs },
      });
    }
  }
  return [...cuts.values()].sort((a, b) => b.packaged - a.packaged || (a.cut < b.cut ? -1 : 1));
}

/** Every cut that can be asked for of an animal, by the names that its lines have; in the order of its sheet. */
export function cutsKnown(situation: Situation): string[] {
  const cuts = decisionsAsked(situation).flatMap((decision) =>
    decision.options
      .filter((option) => !whyNotOffered(option, situation))
      .flatMap(({ products }) => products.flatMap(cutsOf).map((cut) => localName(situation, cut))),
  );
  return [...new Set(cuts)];
}
