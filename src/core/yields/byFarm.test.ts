import { inUnits, sumWeights, type Weight } from '../quantity/weight';
import { NOTHING_PACKED, yieldRow } from '../tests/yieldRow';
import { byCutter } from './byCutter';
import { byBoneState, byFarm } from './byFarm';

const grind = (weight: number) => ({ ...NOTHING_PACKED, grind: weight as Weight });

describe('what an animal gives', () => {
  const rows = [
    yieldRow({
      shareId: '1',
      packed: grind(10_000),
      hot: 90_000 as Weight,
      boneState: 'bone-in',
      cutterId: 'a',
    }),
    yieldRow({ shareId: '2', packed: grind(14_000), hot: 90_000 as Weight, cutterId: 'b' }),
    yieldRow({
      shareId: '3',
      packed: grind(30_000),
      ofAnimal: 1,
      farmId: 'g',
      farm: 'Brackenhow',
      cutterId: 'b',
    }),
  ];

  it('is told farm by farm to a whole animal, halves counting half', () => {
    const farms = byFarm(rows);
    expect(farms.map(({ farm, animals }) => [farm, animals])).toEqual([
      ['Brackenhow', 1],
      ['Low Tarn', 1],
    ]);
    expect(farms.map(({ perAnimal }) => perAnimal.grind)).toEqual([30, 24]);
    const all = farms.reduce((sum, { animals, perAnimal }) => sum + animals * perAnimal.grind, 0);
    expect(all).toBe(inUnits(sumWeights(rows.map(({ packed }) => packed.grind))));
  });

  it('is told by the kind of sheet, never boned and bone-in in one figure', () => {
    expect(byBoneState(rows)).toMatchObject([
      { boneState: 'bone-in', shares: 1, packedOnHot: { of: 1, leftOut: 0 } },
      { boneState: 'mixed', shares: 2, packedOnHot: { of: 1, leftOut: 1 } },
    ]);
  });

  it('is told by who cut it, who cut most first, nobody left unnamed', () => {
    expect(byCutter([...rows, yieldRow({ shareId: '4' })])).toMatchObject([
      { cutterId: 'b', shares: 2 },
      { cutterId: 'a', shares: 1, packedOnHot: { of: 1 } },
    ]);
  });
});
