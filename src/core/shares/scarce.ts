import type { ForecastLine } from '../forecast/types';
import { listed } from '../quantity/listed';
import { decisionsAsked, type Situation } from '../sheet/situation';
import type { Decision, Species } from '../species/types';

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
  return cutsOfOne(species, species.decisions).flatMap((cut) => {
    const owners = shares
      .filter((share) => share.lines.some((line) => line.ownCut === cut && line.pieces !== 0))
      .map((share) => share.owner);
    if (owners.length < 2) return [];
    const sentence = `${cut}: one to an animal, and ${listed(owners)} keep it. Each gets half unless they agree who has it.`;
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
    const count = perAnimal === 1 ? 'one' : String(perAnimal);
    return [
      {
        cut: label,
        owners,
        sentence: `${label}: ${count} to an animal, and ${listed(owners)} ask for it at the kill floor.`,
      },
    ];
  });
}

/** What a household of an animal has on its sheet of what the animal has few of. */
export type Keeping = {
  readonly owner: string;
  /** Cuts of a piece that an animal has one of, by their own names. */
  readonly ones: readonly string[];
  /** Ids of the offal it asks for. */
  readonly offal: readonly string[];
};

/** What of its lines a household keeps that an animal has one of. */
export function onesKept(species: Species, lines: ExpectedShare['lines']): string[] {
  return cutsOfOne(species, species.decisions).filter((cut) =>
    lines.some((line) => line.ownCut === cut && line.pieces !== 0),
  );
}

/**
 * What is told a household of the pieces its animal has few of: who else has them, and what nobody has taken. Nothing
 * where it is alone with its animal, or its part of the animal does not reach them.
 *
 * @param others - the other households of the animal, each by the sheet it is cut by
 */
export function whoHasOnes(situation: Situation, mine: Keeping, others: readonly Keeping[]): string[] {
  if (others.length === 0) return [];
  const { species } = situation;
  const ones = cutsOfOne(species, decisionsAsked(situation)).flatMap((cut) => {
    const owners = others.filter(({ ones }) => ones.includes(cut)).map(({ owner }) => owner);
    const isMine = mine.ones.includes(cut);
    if (owners.length === 0) return isMine ? [] : [`${cut}: one to an animal, and nobody keeps it yet.`];
    return isMine
      ? [`${cut}: one to an animal, kept by ${listed(owners)} too. Each gets half unless they agree.`]
      : [`${cut}: one to an animal, kept by ${listed(owners)}.`];
  });
  const offal = species.offal.flatMap(({ id, label, perAnimal }) => {
    const owners = others.filter(({ offal }) => offal.includes(id)).map(({ owner }) => owner);
    if (owners.length < perAnimal) return [];
    const count = perAnimal === 1 ? 'one' : String(perAnimal);
    const too = mine.offal.includes(id) ? ' too: they have to agree' : '';
    return [`${label}: ${count} to an animal, asked for by ${listed(owners)}${too}.`];
  });
  return [...ones, ...offal];
}

/** Cuts that hold a piece an animal has only one of. */
function cutsOfOne({ onePerCarcass }: Species, decisions: readonly Decision[]): string[] {
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
