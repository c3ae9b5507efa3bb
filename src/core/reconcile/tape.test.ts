import fc from 'fast-check';
import { forecast } from '../forecast/forecast';
import { sumWeights, type Weight } from '../quantity/weight';
import { anyOrder } from '../tests/anySheet';
import type { BridgeStep, Weighed } from './reconcile';
import { placed, tapeOf } from './tape';

const step = (kind: BridgeStep['kind'], weight: number): BridgeStep => ({
  ...{ kind, label: kind, lost: kind !== 'cold' && kind !== 'boxes' },
  weight: weight as Weight,
});
const pack = (destination: Weighed['destination'], net: number): Weighed => ({
  ...{ kind: 'package', lineKey: destination, cut: destination, destination },
  ...{ net: net as Weight, pieces: null, from: 'share' },
});
const together = (parts: readonly { readonly weight: Weight }[]) =>
  sumWeights(parts.map(({ weight }) => weight));

describe('the tape', () => {
  it('as asked is the whole cold weight of any order', () => {
    fc.assert(
      fc.property(anyOrder, ({ situation, sheet, coldSides }) => {
        const expected = forecast(situation, sheet, coldSides);
        const { asked } = tapeOf(expected, { bridge: [] }, []);
        expect(together(asked)).toBe(expected.coldWeight);
      }),
      { numRuns: 60 },
    );
  });

  it('as done is packs by destination, what is lost, and what nothing explains', () => {
    const bridge = [
      step('cold', 100),
      step('bone', 12),
      step('fat', 0),
      step('unaccounted', 8),
      step('boxes', 80),
    ];
    const weighed = [pack('steaks', 20), pack('grind', 45), pack('steaks', 15)];
    const losses = { fat: 0, bone: 0, skin: 0, inedible: 0, cure: 0, kerf: 0, grinder: 0, cuttingShrink: 0 };
    const { done } = tapeOf({ lines: [], losses: losses as never }, { bridge }, weighed);
    expect(done.map(({ kind, weight, packs }) => [kind, weight, packs])).toEqual([
      ['steaks', 35, [20, 15]],
      ['grind', 45, [45]],
      ['bone', 12, []],
      ['unaccounted', 8, []],
    ]);
    expect(together(done)).toBe(100);
  });

  it('lies end to end; what is below zero has no length', () => {
    const parts = tapeOf(
      {
        lines: [],
        losses: {
          fat: 60,
          bone: 40,
          skin: 0,
          inedible: 0,
          cure: -10,
          kerf: 10,
          grinder: 0,
          cuttingShrink: 0,
        } as never,
      },
      { bridge: [] },
      [],
    ).asked;
    const lying = placed(parts, 110 as Weight);
    expect(lying.reduce((sum, { long }) => sum + long, 0)).toBeCloseTo(100, 9);
    for (const { weight, long } of lying) expect(long).toBeCloseTo((100 * Math.max(0, weight)) / 110, 9);
    expect(lying.find(({ kind }) => kind === 'cure')!.long).toBe(0);
  });
});
