import { tissuesOf, type CutYield, type SideOnTheBlock } from './cutting';

/** What comes off the cuts or is left of them, at full precision, thousandths. */
export type Pools = {
  readonly lean: number;
  readonly fat: number;
  readonly bone: number;
  /** Bone that makes stock, kept apart from the rest. */
  readonly stockBone: number;
  readonly skin: number;
  readonly inedible: number;
};

const EMPTY: Pools = { lean: 0, fat: 0, bone: 0, stockBone: 0, skin: 0, inedible: 0 };

export function sumPools(pools: readonly Pools[]): Pools {
  return pools.reduce(
    (a, b) => ({
      lean: a.lean + b.lean,
      fat: a.fat + b.fat,
      bone: a.bone + b.bone,
      stockBone: a.stockBone + b.stockBone,
      skin: a.skin + b.skin,
      inedible: a.inedible + b.inedible,
    }),
    EMPTY,
  );
}

/** What trimming one cut adds to the pools. */
export function trimPools({ trim, stockBone }: CutYield): Pools {
  return { ...EMPTY, ...trim, bone: trim.bone - stockBone, stockBone };
}

/** What nobody claims of a side: tissue by tissue to the pools, whole to the bone, or inedible. */
export function leftoverPools(block: SideOnTheBlock, free: Float64Array): Pools {
  const left = [...free.keys()].filter((cell) => free[cell]! > 0);
  return sumPools(left.map((cell) => leftoverOf(block, cell, free[cell]!)));
}

function leftoverOf(block: SideOnTheBlock, cell: number, fraction: number): Pools {
  const atom = block.cells.atoms[block.cells.atomOf[cell]!]!;
  const { lean, fat, bone, skin } = tissuesOf(block, cell, fraction);
  switch (atom.leftover) {
    case 'inedible':
      return { ...EMPTY, inedible: lean + fat + bone + skin };
    case 'bone':
      return { ...EMPTY, bone: lean + fat + bone + skin };
    case 'pools':
      return atom.stockBone
        ? { ...EMPTY, lean, fat, stockBone: bone, skin }
        : { ...EMPTY, lean, fat, bone, skin };
  }
}
