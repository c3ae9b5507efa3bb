import type { GrindRules } from '../species/types';
import type { CutYield, SideOnTheBlock } from './cutting';

/** A cut of a side with what each atom gives to it. */
export type GivenCut = { readonly cut: CutYield; readonly gives: ReadonlyMap<number, number> };

/** What comes off the cuts or is left of them, at full precision, thousandths. */
export type Pools = {
  lean: number;
  /** Fat that can be culled from the grind or put into it. */
  looseFat: number;
  /** Fat that hangs on the trim and goes into the grind with it. */
  attachedFat: number;
  /** Fat that no grind draws from. */
  hardFat: number;
  bone: number;
  /** Bone that makes stock, kept apart from the rest. */
  stockBone: number;
  skin: number;
  inedible: number;
  /** What each atom, by index of the cells' atoms, gives to the tub. */
  readonly tub: TubByAtom;
};

export type TubByAtom = {
  readonly lean: Float64Array;
  readonly attachedFat: Float64Array;
  readonly looseFat: Float64Array;
};

/** @param atoms - how many atoms the carcass has */
export function emptyPools(atoms: number): Pools {
  return {
    lean: 0,
    looseFat: 0,
    attachedFat: 0,
    hardFat: 0,
    bone: 0,
    stockBone: 0,
    skin: 0,
    inedible: 0,
    tub: {
      lean: new Float64Array(atoms),
      attachedFat: new Float64Array(atoms),
      looseFat: new Float64Array(atoms),
    },
  };
}

/**
 * Adds what trimming one cut gives to the pools.
 *
 * @param given - the cut, and what each atom gives to it; its trim is taken to come from the atoms in the same proportion
 */
export function addTrim(
  pools: Pools,
  { cut: { trim, stockBone, packaged }, gives }: GivenCut,
  rules: GrindRules,
): void {
  const attached = trim.fat * rules.attachedShare.trim;
  pools.lean += trim.lean;
  pools.attachedFat += attached;
  pools.looseFat += trim.fat - attached;
  pools.bone += trim.bone - stockBone;
  pools.stockBone += stockBone;
  pools.skin += trim.skin;
  if (packaged <= 0) return;
  for (const [atom, gift] of gives) {
    const part = gift / packaged;
    pools.tub.lean[atom]! += trim.lean * part;
    pools.tub.attachedFat[atom]! += attached * part;
    pools.tub.looseFat[atom]! += (trim.fat - attached) * part;
  }
}

/**
 * Adds what nobody claims of a side: tissue by tissue to the pools, to the hard fat, whole to the bone, or inedible;
 * what is condemned is inedible whatever it is.
 *
 * @param free - part of each cell that nobody holds
 */
export function addLeftovers(pools: Pools, block: SideOnTheBlock, free: Float64Array): void {
  const { cells, weightLeft } = block;
  for (let cell = 0; cell < cells.count; cell += 1) {
    const mass = weightLeft * free[cell]!;
    if (mass > 0) addLeftover(pools, block, { cell, mass });
    const lost = weightLeft * cells.share[cell]! * (1 - cells.sound[cell]!);
    pools.inedible += lost;
  }
}

type Leftover = {
  readonly cell: number;
  /** Weight of the whole side times the free part of the cell. */
  readonly mass: number;
};

function addLeftover(pools: Pools, { cells, species }: SideOnTheBlock, { cell, mass }: Leftover): void {
  const index = cells.atomOf[cell]!;
  const atom = cells.atoms[index]!;
  const lean = mass * cells.lean[cell]!;
  const fat = mass * cells.fat[cell]!;
  const bone = mass * cells.bone[cell]!;
  const skin = mass * cells.skin[cell]!;
  switch (atom.leftover) {
    case 'inedible':
      pools.inedible += lean + fat + bone + skin;
      return;
    case 'bone':
      pools.bone += lean + fat + bone + skin;
      return;
    case 'fat':
      pools.hardFat += lean + fat;
      pools.bone += bone;
      pools.skin += skin;
      return;
    case 'pools': {
      const { lean: leanStays, fat: fatStays } = atom.residue ?? { lean: 0, fat: 0 };
      const ground = fat * (1 - fatStays);
      const attached = ground * (atom.attachedShare ?? species.grind.attachedShare.whole);
      const { tub } = pools;
      pools.lean += lean * (1 - leanStays);
      pools.attachedFat += attached;
      pools.looseFat += ground - attached;
      tub.lean[index]! += lean * (1 - leanStays);
      tub.attachedFat[index]! += attached;
      tub.looseFat[index]! += ground - attached;
      pools.bone += lean * leanStays + fat * fatStays;
      pools.skin += skin;
      if (atom.stockBone) pools.stockBone += bone;
      else pools.bone += bone;
    }
  }
}
