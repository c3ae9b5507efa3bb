import type { GrindRules } from '../species/types';
import type { CutYield, SideOnTheBlock } from './cutting';

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
};

export function emptyPools(): Pools {
  return {
    lean: 0,
    looseFat: 0,
    attachedFat: 0,
    hardFat: 0,
    bone: 0,
    stockBone: 0,
    skin: 0,
    inedible: 0,
  };
}

/** Adds what trimming one cut gives to the pools. */
export function addTrim(pools: Pools, { trim, stockBone }: CutYield, rules: GrindRules): void {
  pools.lean += trim.lean;
  addFat(pools, trim.fat, rules.attachedShare.trim);
  pools.bone += trim.bone - stockBone;
  pools.stockBone += stockBone;
  pools.skin += trim.skin;
}

function addFat(pools: Pools, fat: number, attachedShare: number): void {
  pools.attachedFat += fat * attachedShare;
  pools.looseFat += fat * (1 - attachedShare);
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
    if (mass > 0) addLeftover(pools, block, cell, mass);
    const lost = weightLeft * cells.share[cell]! * (1 - cells.sound[cell]!);
    pools.inedible += lost;
  }
}

/** @param mass - weight of the whole side times the free part of the cell */
function addLeftover(pools: Pools, { cells, species }: SideOnTheBlock, cell: number, mass: number): void {
  const atom = cells.atoms[cells.atomOf[cell]!]!;
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
      pools.lean += lean * (1 - leanStays);
      addFat(pools, fat * (1 - fatStays), atom.attachedShare ?? species.grind.attachedShare.whole);
      pools.bone += lean * leanStays + fat * fatStays;
      pools.skin += skin;
      if (atom.stockBone) pools.stockBone += bone;
      else pools.bone += bone;
    }
  }
}
