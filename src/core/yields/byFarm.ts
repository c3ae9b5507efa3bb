import { group } from 'd3-array';
import { BONE_STATES, type BoneState } from '../experience/boneState';
import { inUnits, sumWeights } from '../quantity/weight';
import { pooledRate, type Pooled } from './rates';
import { PACKED, type Packed, type YieldRow } from './yieldRow';

/** What an animal of a farm gives in the mean. */
export type FarmMean = {
  readonly farm: string;
  /** Halves count half. */
  readonly animals: number;
  /** Packs of each destination to an animal, in the shop's unit: bacon and ham, chops and steaks, burger. */
  readonly perAnimal: Readonly<Record<Packed, number>>;
};

/** What an animal gives, farm by farm; who brought most is the first. */
export function byFarm(rows: readonly YieldRow[]): FarmMean[] {
  return [...group(rows, ({ farmId }) => farmId).values()]
    .map((own) => {
      const animals = own.reduce((sum, { ofAnimal }) => sum + ofAnimal, 0);
      const mean = (destination: Packed) =>
        inUnits(sumWeights(own.map(({ packed }) => packed[destination]))) / animals;
      const perAnimal = Object.fromEntries(PACKED.map((each) => [each, mean(each)]));
      return { farm: own[0]!.farm, animals, perAnimal: perAnimal as FarmMean['perAnimal'] };
    })
    .sort((a, b) => b.animals - a.animals || (a.farm < b.farm ? -1 : 1));
}

/** What of the hanging weight goes home under each kind of sheet. */
export type SheetKind = {
  readonly boneState: BoneState;
  readonly shares: number;
  readonly packedOnHot: Pooled;
};

export function byBoneState(rows: readonly YieldRow[]): SheetKind[] {
  return BONE_STATES.map((boneState) => {
    const own = rows.filter((row) => row.boneState === boneState);
    return { boneState, shares: own.length, packedOnHot: pooledRate(own, 'packed-hot') };
  }).filter(({ shares }) => shares > 0);
}
