import type { Weight } from '@/core/quantity/weight';
import { runningAccount } from './runningAccount';
import type { Target } from './targets';

const target = (change: Partial<Target>): Target => ({
  key: 'package chops',
  section: 'block',
  title: 'Chops',
  detail: '',
  purpose: { kind: 'package', from: 'share', lineKey: 'chops' },
  destination: 'steaks',
  due: 4,
  made: 0,
  band: { low: 900 as Weight, high: 1100 as Weight },
  pieces: 2,
  settled: false,
  waits: '',
  ...change,
});

const on = (weight: number) => weight as Weight;

describe('the running account of a share', () => {
  it('is what is due, and what lies there beyond it', () => {
    expect(runningAccount([target({})], on(4_300))).toEqual({ due: 4_000, over: 300 });
    expect(runningAccount([target({ made: 3 })], on(1_300))).toEqual({ due: 1_000, over: 300 });
  });

  it('says how much more is asked than is there', () => {
    expect(runningAccount([target({})], on(3_500)).over).toBe(-500);
  });

  it('waits for nothing that was explained, nor for what has left the block already', () => {
    const inTub = target({ purpose: { kind: 'package', from: 'tub', lineKey: 'burger' } });
    const inSmoke = target({ purpose: { kind: 'package', from: 'cure', lineKey: 'ham' } });
    const stuffed = target({ purpose: { kind: 'green', from: 'tub', lineKey: 'links' } });
    const given = [target({ settled: true }), inTub, inSmoke, stuffed];
    expect(runningAccount(given, on(300))).toEqual({ due: 0, over: 300 });
  });

  it('counts tub, cure and barrels, and one more pack than asked as nothing that is due', () => {
    const tub = target({ purpose: { kind: 'tub' }, due: 1 });
    const green = target({ purpose: { kind: 'green', lineKey: 'ham' }, due: 1 });
    const bone = target({ purpose: { kind: 'barrel', barrel: 'bone' }, due: 1 });
    const more = target({ made: 5 });
    expect(runningAccount([tub, green, bone, more], on(3_000))).toEqual({ due: 3_000, over: 0 });
  });
});
