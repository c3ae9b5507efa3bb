import fc from 'fast-check';
import type { ShareId } from '../order/animal';
import { sumWeights, type Weight } from '../quantity/weight';
import { postBatchEnd } from '../ledger/ledger';
import {
  evenOut,
  mayPack,
  packsDueIn,
  packsOfPool,
  whyNotPooled,
  type MayJoin,
  type PoolMember,
} from './pool';

const w = (net: number) => net as Weight;

const plain: MayJoin = {
  ...{ name: 'Wray', species: 'hog', rite: '' as const, inspection: 'custom-exempt' as const },
  ...{ recipe: 'Breakfast sausage', packWeight: w(1_000), yes: true },
};

type Of = { added?: number; left?: number };
const member = (id: string, meat: number, { added = 0, left }: Of = {}): PoolMember => ({
  ...{ batchId: id, shareId: id as ShareId, lineKey: 'grind.0' },
  ...{ meat: w(meat), added: w(added), left: w(left ?? meat + added) },
});

describe('a pooled batch', () => {
  it('gives whole packs back by largest remainder on the meat each gave (P10)', () => {
    expect(packsOfPool([w(8_500), w(6_000), w(11_500)], w(27_000), w(1_000))).toEqual([9, 6, 12]);
    expect(packsOfPool([w(0), w(0)], w(0), w(1_000))).toEqual([0, 0]);
  });

  it.each([
    [{ species: 'beef' }, /another species/],
    [{ rite: 'halal' }, /by its rite/],
    [{ inspection: 'inspected' }, /stay apart/],
    [{ recipe: 'Chorizo' }, /another recipe/],
    [{ packWeight: w(2_000) }, /another weight/],
    [{ packWeight: null }, /another weight/],
    [{ yes: false }, /^Aske has not said yes in writing/],
  ])('is none with %o', (other, why) => {
    expect(whyNotPooled(plain, { ...plain, name: 'Aske', ...(other as Partial<MayJoin>) })).toMatch(why);
    expect(whyNotPooled(plain, { ...plain, name: 'Aske' })).toBe('');
  });

  it('lets nobody pack more than is due, but for the odd pack of who is most short', () => {
    const pool = { id: 'p', members: [member('a', 8_500, { left: 500 }), member('b', 6_000, { left: 900 })] };
    const own = (id: string) => id as ShareId;
    expect(mayPack(pool, own('a'), { due: 9, made: 8 })).toBe(true);
    expect(mayPack(pool, own('a'), { due: 8, made: 8 })).toBe(false);
    expect(mayPack(pool, own('b'), { due: 5, made: 5 })).toBe(true);
    expect(mayPack(pool, own('c'), { due: 0, made: 0 })).toBe(false);
  });

  it('has nothing due before it is mixed', () => {
    const pool = { id: 'p', members: [member('a', 8_500), { ...member('b', 6_000), added: null }] };
    expect(packsDueIn(pool, 'a' as ShareId, w(1_000))).toBeNull();
  });

  it('conserves to the thousandth: packs, film and what was given come to what went in, owner by owner', () => {
    const parts = fc.array(fc.record({ meat: fc.integer({ min: 1, max: 60_000 }), added: fc.nat(3_000) }), {
      minLength: 2,
      maxLength: 8,
    });
    fc.assert(
      fc.property(parts, fc.constantFrom(500, 1_000, 2_000), fc.nat(1_000), (owners, pack, overPack) => {
        const members = owners.map(({ meat, added }, at) => member(`s${at}`, meat, { added }));
        const pool = { id: 'p', members };
        const mix = sumWeights(members.map(({ left }) => left));
        const due = members.map(({ shareId }) => packsDueIn(pool, shareId, w(pack))!);
        expect(due.reduce((sum, each) => sum + each, 0)).toBe(Math.floor(mix / pack));
        // Nobody is a whole pack beside the part that its meat was.
        const meat = sumWeights(members.map((each) => each.meat));
        due.forEach((packs, at) => {
          const exact = (Math.floor(mix / pack) * members[at]!.meat) / meat;
          expect(Math.abs(packs - exact)).toBeLessThan(1);
        });
        const light = Math.min(overPack, pack - 1);
        const packed = due.map((packs) => packs * (pack - light));
        const left = members.map((each, at) => ({ ...each, left: w(each.left - packed[at]!) }));
        const ends = evenOut(left);
        expect(sumWeights(ends.map(({ given }) => given))).toBe(0);
        ends.forEach((end, at) => {
          expect(end.film).toBeGreaterThanOrEqual(0);
          expect(packed[at]! + end.film + end.given).toBe(members[at]!.meat + members[at]!.added!);
          const postings = postBatchEnd(`s${at}`, 'grind.0', end);
          expect(sumWeights(postings.map(({ weight }) => weight))).toBe(0);
        });
      }),
    );
  });
});
