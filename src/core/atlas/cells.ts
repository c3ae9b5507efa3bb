import { breakPlan, shiftOf, type Shift } from '../carcass/breaks';
import type { CarcassFacts, Condition, Part } from '../carcass/condition';
import { condemnedShares } from '../carcass/condemned';
import { shiftAtlas } from '../carcass/shiftAtlas';
import type { Atom, Species } from '../species/types';

/**
 * A side or a quarter divided as finely as any break can divide it: an atom with a span has one cell for each
 * vertebra of the span, any other atom is one cell. Shares of all cells add up to 1. A cell that a break has moved
 * keeps its tissue and answers to the atom of its new zone.
 */
export type Cells = {
  readonly count: number;
  readonly atoms: readonly Atom[];
  /** Index into `atoms`, per cell: the atom whose claims find the cell. */
  readonly atomOf: Int16Array;
  /** Index into the atlas' vertebrae, per cell; -1 for an atom without a span. */
  readonly vertebraOf: Int16Array;
  /** Share of the weighed piece, per cell, and what of it is each tissue. */
  readonly share: Float64Array;
  readonly lean: Float64Array;
  readonly fat: Float64Array;
  readonly bone: Float64Array;
  readonly skin: Float64Array;
  /** Inches of the run at the reference side, per cell. */
  readonly lengthIn: Float64Array;
  /** 1 where a wish for fat left on reaches the cell. */
  readonly cover: Uint8Array;
  /** Share of the weighed piece, per atom. */
  readonly atomShare: Float64Array;
  /** Part of each cell that can be cut: 1 less what is condemned. */
  readonly sound: Float64Array;
  readonly cellsOfAtom: ReadonlyMap<string, readonly number[]>;
  readonly vertebraIndex: ReadonlyMap<string, number>;
  /** Share of a whole side that this piece is. */
  readonly partOfSide: number;
};

/** What decides how a carcass divides. */
export type CarcassCut = CarcassFacts & {
  readonly species: Species;
  readonly addOns: readonly string[];
  readonly part?: Part;
};

type Draft = { own: Atom; atom: Atom; vertebra: number; part: number };

/** Divided carcasses are kept, since the same one is asked for at each answer of a sheet. */
const KEPT = 64;
const compiled = new WeakMap<Species, Map<string, Cells>>();

/**
 * The cells of a carcass; add-ons that were weighed in take their share and the rest shrinks in proportion.
 *
 * @param sideLb - cold weight of a whole side, pounds
 * @throws RangeError when the school, a break, a place or the type is not of the species
 */
export function cellsOf(cut: CarcassCut, sideLb: number): Cells {
  const { species, addOns, part = 'side', school, breaks, condition } = cut;
  const ofSpecies = compiled.get(species) ?? new Map<string, Cells>();
  compiled.set(species, ofSpecies);
  const key = JSON.stringify([addOns, part, school, breaks, condition, sideLb]);
  const known = ofSpecies.get(key);
  if (known) return known;
  const cells = divide(cut, sideLb);
  if (ofSpecies.size >= KEPT) ofSpecies.delete(ofSpecies.keys().next().value!);
  ofSpecies.set(key, cells);
  return cells;
}

function divide(
  { species, addOns, part = 'side', school, breaks, condition = {} }: CarcassCut,
  sideLb: number,
): Cells {
  const { atlas } = species;
  const vertebraIndex = new Map(atlas.vertebrae.map((name, index) => [name, index]));
  const atoms = [
    ...shiftAtlas(species, condition, sideLb),
    ...atlas.addOns.map((addOn) => addOn.atom).filter((atom) => addOns.includes(atom.id)),
  ];
  const plan = breakPlan(species, school, breaks);
  const shifts = species.breaks.map((each) => shiftOf(each, plan[each.id]!, vertebraIndex));
  const byId = new Map(atoms.map((atom) => [atom.id, atom]));
  const side = shifts.reduce(
    (drafts, shift) =>
      shift.moves.length === 0 ? drafts : drafts.flatMap((draft) => moved(draft, shift, byId)),
    atoms.flatMap((atom) => draftsOf(atom, vertebraIndex)),
  );
  const wanted = part === 'side' ? undefined : new Set(atlas.quarters?.[part] ?? []);
  const drafts = wanted ? side.filter((draft) => wanted.has(draft.atom.primal)) : side;
  return written({ drafts, side, atoms, vertebraIndex, species, condition });
}

function draftsOf(atom: Atom, vertebraIndex: ReadonlyMap<string, number>): Draft[] {
  if (atom.sharePct <= 0) return [];
  if (!atom.span) return [{ own: atom, atom, vertebra: -1, part: 1 }];
  const first = indexOfVertebra(vertebraIndex, atom.span[0]);
  const count = indexOfVertebra(vertebraIndex, atom.span[1]) - first + 1;
  return Array.from({ length: count }, (_, i) => ({ own: atom, atom, vertebra: first + i, part: 1 / count }));
}

/** A cell under a break's moves: the parts that go to other atoms, and what stays. */
function moved(draft: Draft, { moves, between }: Shift, byId: ReadonlyMap<string, Atom>): Draft[] {
  if (between && (draft.vertebra < between[0] || draft.vertebra > between[1])) return [draft];
  const own = moves.filter((move) => move.from === draft.atom.id);
  if (own.length === 0) return [draft];
  const parts = own.map((move) => ({
    ...draft,
    atom: byId.get(move.to)!,
    part: draft.part * (move.share ?? 1),
  }));
  const gone = own.reduce((sum, move) => sum + (move.share ?? 1), 0);
  return gone >= 1 ? parts : [...parts, { ...draft, part: draft.part * (1 - gone) }];
}

function written(input: {
  drafts: readonly Draft[];
  side: readonly Draft[];
  atoms: readonly Atom[];
  vertebraIndex: ReadonlyMap<string, number>;
  species: Species;
  condition: Condition;
}): Cells {
  const { drafts, side, atoms, vertebraIndex, species, condition } = input;
  const count = drafts.length;
  const total = drafts.reduce((sum, draft) => sum + draft.own.sharePct * draft.part, 0);
  const wholeSide = side.reduce((sum, draft) => sum + draft.own.sharePct * draft.part, 0);
  const indexOfAtom = new Map(atoms.map((atom, index) => [atom.id, index]));
  const cellsOfAtom = new Map<string, number[]>();
  const cells = {
    count,
    atoms,
    atomOf: new Int16Array(count),
    vertebraOf: new Int16Array(count),
    share: new Float64Array(count),
    lean: new Float64Array(count),
    fat: new Float64Array(count),
    bone: new Float64Array(count),
    skin: new Float64Array(count),
    lengthIn: new Float64Array(count),
    cover: new Uint8Array(count),
    sound: new Float64Array(count),
    atomShare: new Float64Array(atoms.length),
    cellsOfAtom,
    vertebraIndex,
    partOfSide: total / wholeSide,
  };
  const condemned = condemnedShares(species, condition, atoms);
  const carriers = runCarriers(drafts);
  drafts.forEach(({ own, atom, vertebra, part }, cell) => {
    const share = (own.sharePct * part) / total;
    cells.atomOf[cell] = indexOfAtom.get(atom.id)!;
    cells.vertebraOf[cell] = vertebra;
    cells.share[cell] = share;
    cells.atomShare[cells.atomOf[cell]!]! += share;
    cells.lean[cell] = (share * own.composition.lean) / 100;
    cells.fat[cell] = (share * own.composition.fat) / 100;
    cells.bone[cell] = (share * own.composition.bone) / 100;
    cells.skin[cell] = (share * own.composition.skin) / 100;
    cells.lengthIn[cell] =
      carriers.get(placeOfDraft({ atom, vertebra })) === own ? (own.lengthIn ?? 0) * part : 0;
    cells.cover[cell] = own.cover ? 1 : 0;
    cells.sound[cell] = 1 - (condemned.get(own.id) ?? 0);
    const ofAtom = cellsOfAtom.get(atom.id) ?? [];
    ofAtom.push(cell);
    cellsOfAtom.set(atom.id, ofAtom);
  });
  return cells;
}

const placeOfDraft = ({ atom, vertebra }: Pick<Draft, 'atom' | 'vertebra'>) => `${atom.id} ${vertebra}`;

/**
 * Which atom gives a place of the side its inches: a break may bring slices of several muscles that lie over each
 * other to one atom, and the run is as long as the heaviest of them, not as all together.
 */
function runCarriers(drafts: readonly Draft[]): ReadonlyMap<string, Atom> {
  const carriers = new Map<string, Atom>();
  for (const draft of drafts) {
    const place = placeOfDraft(draft);
    const known = carriers.get(place);
    const isNative = draft.own === draft.atom;
    if (!known || isNative || (known !== draft.atom && draft.own.sharePct > known.sharePct)) {
      carriers.set(place, draft.own);
    }
  }
  return carriers;
}

/** @throws RangeError when the atlas has no such vertebra */
export function indexOfVertebra(vertebraIndex: ReadonlyMap<string, number>, name: string): number {
  const index = vertebraIndex.get(name);
  if (index === undefined) throw new RangeError(`"vertebra" expected one of the atlas, got ${name}`);
  return index;
}
