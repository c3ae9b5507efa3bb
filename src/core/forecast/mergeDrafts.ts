import type { DraftLine } from './lines';

/**
 * The lines of two sides as one list: the same cut from both sides is one line. A cut that only the second side
 * has keeps its key, or gets one of its own when the first side has made something else under it.
 */
export function mergeDrafts(first: readonly DraftLine[], second: readonly DraftLine[]): DraftLine[] {
  const both = first.map((draft) => {
    const twin = second.find((other) => isSameCut(draft, other));
    return twin ? addDrafts(draft, twin) : draft;
  });
  const onlySecond = second
    .filter((draft) => !first.some((other) => isSameCut(draft, other)))
    .map((draft) =>
      first.some((other) => other.key === draft.key) ? { ...draft, key: `${draft.key}.second` } : draft,
    );
  return [...both, ...onlySecond];
}

function isSameCut(a: DraftLine, b: DraftLine): boolean {
  return (
    a.key === b.key &&
    a.cut === b.cut &&
    a.thicknessIn === b.thicknessIn &&
    a.piecesPerPack === b.piecesPerPack &&
    a.packWeight === b.packWeight
  );
}

function addDrafts(a: DraftLine, b: DraftLine): DraftLine {
  return {
    ...a,
    packaged: a.packaged + b.packaged,
    // Both sides are of one animal, cut by one hand: what one lies beside, the other does too.
    spread: a.spread + b.spread,
    airLoss: a.airLoss + b.airLoss,
    cureLoss: a.cureLoss + b.cureLoss,
    kerf: a.kerf + b.kerf,
    trim: {
      lean: a.trim.lean + b.trim.lean,
      fat: a.trim.fat + b.trim.fat,
      bone: a.trim.bone + b.trim.bone,
      skin: a.trim.skin + b.trim.skin,
    },
    pieces: a.pieces === null || b.pieces === null ? null : a.pieces + b.pieces,
    sides: a.sides + b.sides,
    names: addNames(a.names, b.names),
  };
}

function addNames(a: DraftLine['names'], b: DraftLine['names']): DraftLine['names'] {
  const counts = new Map(a.map(({ name, pieces }) => [name, pieces]));
  for (const { name, pieces } of b) counts.set(name, (counts.get(name) ?? 0) + pieces);
  return [...counts].map(([name, pieces]) => ({ name, pieces }));
}
