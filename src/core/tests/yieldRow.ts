import fc from 'fast-check';
import { ZERO_WEIGHT, type Weight } from '../quantity/weight';
import type { Day } from '../time/shopTime';
import { PACKED, WENT, type Packed, type Went, type YieldRow } from '../yields/yieldRow';

const zeros = <Key extends string>(keys: readonly Key[]) =>
  Object.fromEntries(keys.map((key) => [key, ZERO_WEIGHT])) as Record<Key, typeof ZERO_WEIGHT>;

export const NOTHING_PACKED: Readonly<Record<Packed, typeof ZERO_WEIGHT>> = zeros(PACKED);
export const NOTHING_WENT: Readonly<Record<Went, typeof ZERO_WEIGHT>> = zeros(WENT);

/** A finished share of nothing, with what a test says of it. */
export function yieldRow(change: Partial<YieldRow>): YieldRow {
  return {
    ...{
      shareId: 's',
      animalId: 'a',
      name: 'Ottilie, left half',
      part: 'left half',
      ofAnimal: 0.5,
      tag: 'H1',
    },
    ...{ farmId: 'f', farm: 'Low Tarn', species: 'hog', type: '', school: 'us', boneState: 'mixed' },
    ...{
      closedOn: '2026-03-02' as Day,
      cutterId: '',
      minutes: { block: null, wrap: null },
      daysHung: 2,
      fatness: null,
      live: null,
    },
    ...{ hot: null, cold: ZERO_WEIGHT, packed: NOTHING_PACKED, went: NOTHING_WENT, packs: 0, cuts: [] },
    forecast: { takeHome: ZERO_WEIGHT, low: ZERO_WEIGHT, high: ZERO_WEIGHT },
    ...change,
  };
}

const weights = fc.integer({ min: 1, max: 60_000 }).map((each) => each as Weight);
const some = (keys: readonly string[]) => fc.record(Object.fromEntries(keys.map((key) => [key, weights])));

/** Any finished share; it adds up, as every one does. */
export const anyYieldRow = fc
  .record({ packed: some(PACKED), went: some(WENT), air: weights, shareId: fc.uuid() })
  .map(({ packed, went, air, shareId }): YieldRow => {
    const cold = [...Object.values(packed), ...Object.values(went)].reduce((sum, each) => sum + each, 0);
    const parts = { packed: { ...NOTHING_PACKED, ...packed }, went: { ...NOTHING_WENT, ...went } };
    const cuts = PACKED.map((destination) => ({
      cut: `all ${destination}`,
      destination,
      packed: parts.packed[destination],
      packs: 3,
      green: 0 as Weight,
    }));
    return yieldRow({ shareId, ...parts, cuts, cold: cold as Weight, hot: (cold + air) as Weight });
  });
