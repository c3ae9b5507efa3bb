import type { ForecastLine } from '../forecast/types';
import type { Species } from '../species/types';

/** What a share is expected to become, and whose it is. */
export type ExpectedShare = {
  readonly owner: string;
  readonly lines: readonly Pick<ForecastLine, 'ownCut' | 'pieces'>[];
};

/** A piece that an animal has only one of, and that several households keep. */
export type PromisedTwice = {
  readonly cut: string;
  readonly owners: readonly string[];
  readonly sentence: string;
};

/**
 * Pieces that an animal has one of and that more than one household of it keeps: each would get half, so they have to
 * agree. The booked halves add up all the same, so nothing is forecast twice.
 *
 * @param shares - every share of one animal
 */
export function promisedTwice(species: Species, shares: readonly ExpectedShare[]): PromisedTwice[] {
  return cutsOfOne(species).flatMap((cut) => {
    const owners = shares
      .filter((share) => share.lines.some((line) => line.ownCut === cut && line.pieces !== 0))
      .map((share) => share.owner);
    if (owners.length < 2) return [];
    const names = `${owners.slice(0, -1).join(', ')} and ${owners.at(-1)}`;
    const sentence = `${cut}: one to an animal, and ${names} keep it. Each gets half unless they agree who has it.`;
    return [{ cut, owners, sentence }];
  });
}

/** What a household asks for at the kill floor. */
export type AskedOffal = { readonly owner: string; readonly offal: readonly string[] };

/** Offal that more households of one animal ask for than the animal has. */
export function offalAskedTwice({ offal }: Species, shares: readonly AskedOffal[]): PromisedTwice[] {
  return offal.flatMap(({ id, label, perAnimal }) => {
    const owners = shares.filter((share) => share.offal.includes(id)).map((share) => share.owner);
    if (owners.length <= perAnimal) return [];
    const names = `${owners.slice(0, -1).join(', ')} and ${owners.at(-1)}`;
    const count = perAnimal === 1 ? 'one' : String(perAnimal);
    return [
      {
        cut: label,
        owners,
        sentence: `${label}: ${count} to an animal, and ${names} ask for it at the kill floor.`,
      },
    ];
  });
}

/** Cuts that hold a piece an animal has only one of. */
function cutsOfOne({ decisions, onePerCarcass }: Species): string[] {
  const cuts = decisions.flatMap((decision) =>
    decision.options.flatMap((option) =>
      option.products
        .filter((product) => product.claims.some((claim) => onePerCarcass.includes(claim.atom)))
        .map((product) => product.cut),
    ),
  );
  return [...new Set(cuts)];
}

/** A cut of which an animal has so many pieces, over both sides. */
export type Scarcity = { readonly cut: string; readonly perAnimal: number };

/**
 * How many an animal has of every cut that is one or two to an animal, by the species' data: pieces that are counted
 * and not sliced, once for each side, once for both where they span the spine or the animal has one.
 */
export function scarceCuts(species: Species): Scarcity[] {
  const found = new Map<string, number>();
  for (const product of species.decisions.flatMap((each) =>
    each.options.flatMap((option) => option.products),
  )) {
    if (product.pieces.kind !== 'fixed') continue;
    const perAnimal = product.acrossSides ? product.pieces.count : 2 * product.pieces.count;
    if (perAnimal <= 2) found.set(product.cut, perAnimal);
  }
  return [...found].map(([cut, perAnimal]) => ({ cut, perAnimal }));
}
