import {
  TISSUES,
  type Atom,
  type CarcassType,
  type Species,
  type Tissue,
  type TissueShares,
} from '../species/types';
import type { Condition } from './condition';

/** Weight of each tissue of each atom, percent of the reference side; the working form of a shift. */
type Masses = Record<Tissue, number>[];

/** A fat multiplier grows no further than this, whatever is measured. */
const MOST_FAT_MULTIPLIER = 5;

/**
 * The atoms of a carcass in this condition: shares and composition shifted, adding up to 100 again. What is missing
 * before weighing is gone; what is condemned later is still here.
 *
 * @param sideLb - cold weight of a side, pounds
 * @throws RangeError when the condition's type is not of the species
 */
export function shiftAtlas(species: Species, condition: Condition, sideLb: number): readonly Atom[] {
  const { atoms } = species.atlas;
  const { shifts } = species;
  const type = typeOf(species, condition);
  const masses: Masses = atoms.map((atom) => massesOf(atom));
  if (type) shiftByType(species, masses, type);
  shiftByWeight(species, masses, { condition, sideLb });
  const fatness = condition.fatness ?? type?.fatness;
  if (fatness !== undefined) shiftByFatness(species, masses, fatness);
  boundFat(masses, shifts.fatPct);
  const eyeSqIn = condition.eyeSqIn ?? type?.eyeSqIn;
  if (eyeSqIn !== undefined && shifts.eye) {
    scaleEye(atoms, masses, { eye: shifts.eye.atoms, ratio: eyeSqIn / shifts.eye.referenceSqIn });
  }
  if (condition.skinned) skin(species, masses);
  scaleAtoms(atoms, masses, atomFactors(species, condition));
  return written(atoms, masses);
}

/**
 * The carcass type of a condition; undefined for the reference.
 *
 * @throws RangeError when the species has no such type
 */
export function typeOf(species: Species, condition: Condition): CarcassType | undefined {
  if (condition.type === undefined) return undefined;
  const found = species.types.find((each) => each.id === condition.type);
  if (!found) throw new RangeError(`"type" expected one of ${species.id}, got ${condition.type}`);
  return found;
}

function massesOf(atom: Atom): Record<Tissue, number> {
  const part = atom.sharePct / 100;
  return {
    lean: part * atom.composition.lean,
    fat: part * atom.composition.fat,
    bone: part * atom.composition.bone,
    skin: part * atom.composition.skin,
  };
}

function totalsOf(masses: Masses): TissueShares {
  const totals = { lean: 0, fat: 0, bone: 0, skin: 0 };
  for (const mass of masses) for (const tissue of TISSUES) totals[tissue] += mass[tissue];
  return totals;
}

/** Brings the whole side to these percentages, tissue by tissue, each atom in its own proportion. */
function aimAt(masses: Masses, target: TissueShares): void {
  const now = totalsOf(masses);
  for (const mass of masses) {
    for (const tissue of TISSUES)
      if (now[tissue] > 0) mass[tissue] *= Math.max(0, target[tissue]) / now[tissue];
  }
}

function addPoints(masses: Masses, points: Partial<TissueShares>, times: number): void {
  if (times === 0) return;
  const now = normalised(totalsOf(masses));
  aimAt(masses, {
    lean: now.lean + times * (points.lean ?? 0),
    fat: now.fat + times * (points.fat ?? 0),
    bone: now.bone + times * (points.bone ?? 0),
    skin: now.skin + times * (points.skin ?? 0),
  });
}

function normalised(totals: TissueShares): TissueShares {
  const sum = totals.lean + totals.fat + totals.bone + totals.skin;
  const part = (tissue: Tissue) => (100 * totals[tissue]) / sum;
  return { lean: part('lean'), fat: part('fat'), bone: part('bone'), skin: part('skin') };
}

function shiftByType(species: Species, masses: Masses, type: CarcassType): void {
  if (type.atoms) scaleAtoms(species.atlas.atoms, masses, type.atoms);
  for (const mass of masses) {
    for (const tissue of TISSUES) mass[tissue] *= type.tissues?.[tissue] ?? 1;
  }
  if (type.target) aimAt(masses, { ...normalised(totalsOf(masses)), ...type.target });
  if (type.points) addPoints(masses, type.points, 1);
}

function shiftByWeight(
  species: Species,
  masses: Masses,
  { condition, sideLb }: { condition: Condition; sideLb: number },
): void {
  const { shifts, atlas } = species;
  const [from, to] = shifts.sideLb;
  const over = Math.min(to, Math.max(from, sideLb)) - atlas.reference.sideLb;
  const known =
    condition.fatness !== undefined ||
    condition.type !== undefined ||
    shifts.perSideLbUnknownFatness === undefined;
  const points = known ? shifts.perSideLb : shifts.perSideLbUnknownFatness;
  if (points) addPoints(masses, points, over);
}

function shiftByFatness({ atlas, shifts }: Species, masses: Masses, measured: number): void {
  const { reference, points, sensitivity, min, max } = shifts.fatness;
  const measure = Math.min(max, Math.max(min, measured));
  if (points) addPoints(masses, points, measure - reference);
  if (!sensitivity) return;
  atlas.atoms.forEach((atom, index) => {
    const strength = sensitivity.atoms[atom.id] ?? sensitivity.others;
    const times = 1 + strength * (measure / reference - 1);
    masses[index]!.fat *= Math.min(MOST_FAT_MULTIPLIER, Math.max(0, times));
  });
}

/** Keeps the side's fat between what carcasses can have; the rest gives way in proportion. */
function boundFat(masses: Masses, [least, most]: readonly [number, number]): void {
  const now = normalised(totalsOf(masses));
  const fat = Math.min(most, Math.max(least, now.fat));
  if (fat === now.fat) return;
  const times = (fat * (100 - now.fat)) / (now.fat * (100 - fat));
  for (const mass of masses) mass.fat *= times;
}

/** The eye's share of the side follows its measured area; what the fat rule did to it before is made good. */
function scaleEye(
  atoms: readonly Atom[],
  masses: Masses,
  { eye, ratio }: { eye: readonly string[]; ratio: number },
): void {
  const sum = totalsOf(masses);
  const side = sum.lean + sum.fat + sum.bone + sum.skin;
  let [now, reference] = [0, 0];
  atoms.forEach((atom, index) => {
    if (!eye.includes(atom.id)) return;
    const mass = masses[index]!;
    now += (100 * (mass.lean + mass.fat + mass.bone + mass.skin)) / side;
    reference += atom.sharePct;
  });
  const times = now > 0 ? (ratio * reference) / now : 1;
  scaleAtoms(atoms, masses, Object.fromEntries(eye.map((id) => [id, times])));
}

function scaleAtoms(atoms: readonly Atom[], masses: Masses, factors: Readonly<Record<string, number>>): void {
  atoms.forEach((atom, index) => {
    const factor = factors[atom.id];
    if (factor === undefined) return;
    for (const tissue of TISSUES) masses[index]![tissue] *= factor;
  });
}

/** Skin and feet gone, and the fat that the knife takes with the skin: half of it from the back, the rest from the covers. */
function skin({ atlas }: Species, masses: Masses): void {
  const rule = atlas.skinning;
  if (!rule) return;
  const coverFat = rule.covers.map((id) => masses[atlas.atoms.findIndex((atom) => atom.id === id)]!);
  const back = masses[atlas.atoms.findIndex((atom) => atom.id === rule.back)]!;
  back.fat = Math.max(0, back.fat - rule.knifeLossPct / 2);
  const covers = coverFat.reduce((sum, mass) => sum + mass.fat, 0);
  const left = covers > 0 ? Math.max(0, 1 - rule.knifeLossPct / 2 / covers) : 1;
  for (const mass of coverFat) mass.fat *= left;
  for (const mass of masses) mass.skin = 0;
  scaleAtoms(atlas.atoms, masses, Object.fromEntries(rule.gone.map((id) => [id, 0])));
}

/** What single atoms are multiplied by: missing pieces, the one tail of an animal, a split off centre. */
function atomFactors(species: Species, condition: Condition): Record<string, number> {
  const factors: Record<string, number> = {};
  const times = (id: string, factor: number) => (factors[id] = (factors[id] ?? 1) * factor);
  for (const id of species.onePerCarcass) {
    const carried = condition.carries?.[id];
    if (carried !== undefined) times(id, carried ? 2 : 0);
  }
  if (condition.spinePct !== undefined) {
    for (const id of species.splitBones) times(id, condition.spinePct / 50);
  }
  for (const [id, share] of Object.entries(condition.missing ?? {})) times(id, 1 - share);
  for (const flag of species.flags.filter((each) => condition.flags?.includes(each.id))) {
    for (const id of flag.missing ?? []) times(id, 0);
  }
  return factors;
}

function written(atoms: readonly Atom[], masses: Masses): readonly Atom[] {
  const { lean, fat, bone, skin: hide } = totalsOf(masses);
  const whole = lean + fat + bone + hide;
  return atoms.map((atom, index) => {
    const mass = masses[index]!;
    const own = mass.lean + mass.fat + mass.bone + mass.skin;
    if (own <= 0) return { ...atom, sharePct: 0 };
    const part = (tissue: Tissue) => Math.min(100, (100 * mass[tissue]) / own);
    return {
      ...atom,
      sharePct: (100 * own) / whole,
      composition: { lean: part('lean'), fat: part('fat'), bone: part('bone'), skin: part('skin') },
    };
  });
}
