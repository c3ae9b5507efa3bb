import fc from 'fast-check';
import { cents } from '../quantity/money';
import { demoPrices } from '../tests/prices';
import { changed, changeWords, copyOf, withChange, withChanges, type PriceChange } from './changes';
import { BASES, BASIS_GROUPS, BASIS_WORDS, type PriceList, type PriceRule } from './priceList';

const autumn = demoPrices.at(-1)!;
const cut = autumn.rules.find((rule) => rule.id === 'cut-and-wrap')!;

const ofRules = (list: PriceList) => list.rules.map((rule) => rule.id);

const anyChange = fc.oneof<fc.Arbitrary<PriceChange>[]>(
  fc.record({
    kind: fc.constant('rate' as const),
    rule: fc.constantFrom(...ofRules(autumn)),
    rateCents: fc.integer({ min: 0, max: 100_000 }),
  }),
  fc.record({ kind: fc.constant('without' as const), rule: fc.constantFrom(...ofRules(autumn)) }),
  fc.record({
    kind: fc.constant('charge' as const),
    charge: fc.record({
      id: fc.constantFrom('new-one', 'another', ...ofRules(autumn).slice(0, 3)),
      label: fc.constantFrom('Something', 'Something else'),
      basis: fc.constantFrom(...BASES),
      rateCents: fc.integer({ min: 0, max: 9999 }).map(cents),
    }),
  }),
  fc.record({
    kind: fc.constant('whole' as const),
    whole: fc.record({
      minimumCents: fc.integer({ min: 0, max: 50_000 }).map(cents),
      taxBp: fc.integer({ min: 0, max: 2500 }),
      roundCents: fc.constantFrom(1, 5, 10).map(cents),
    }),
  }),
);

describe('a price list in hand', () => {
  it('is a list after any changes, with each charge once', () => {
    fc.assert(
      fc.property(fc.array(anyChange, { maxLength: 12 }), (changes) => {
        let list = copyOf(autumn, { id: 'winter', name: 'Winter prices', effectiveFrom: '2027-01-04' });
        const made: PriceChange[] = [];
        for (const change of changes) {
          const after = changed(list, change);
          expect(changeWords(list, change)).not.toMatch(/undefined|NaN/);
          if (!after.ok) continue;
          made.push(change);
          list = after.value;
        }
        expect(new Set(ofRules(list)).size).toBe(list.rules.length);
        const again = copyOf(autumn, { id: 'winter', name: 'Winter prices', effectiveFrom: '2027-01-04' });
        expect(withChanges(again, made)).toEqual(list);
      }),
      { numRuns: 300, seed: 20261126 },
    );
  });

  it('leaves the list it was copied from as it was', () => {
    const before = structuredClone(autumn);
    withChange(copyOf(autumn, { id: 'w', name: 'W', effectiveFrom: '2027-01-04' }), {
      kind: 'without',
      rule: cut.id,
    });
    expect(autumn).toEqual(before);
  });

  it.each<[string, PriceChange, string]>([
    ['a rate', { kind: 'rate', rule: cut.id, rateCents: 104 }, 'Cut and wrap 0.98 to 1.04'],
    [
      'what it multiplies',
      { kind: 'charge', charge: { ...cut, basis: 'cold', rateCents: cents(110) } },
      'Cut and wrap 0.98 by hot weight to 1.10 by cold weight',
    ],
    [
      'a new charge',
      { kind: 'charge', charge: { id: 'box', label: 'Boxes', basis: 'flat', rateCents: cents(500) } },
      'new: Boxes, 5.00 an order',
    ],
    ['a charge left out', { kind: 'without', rule: cut.id }, 'Cut and wrap not charged any more'],
    [
      'the whole',
      { kind: 'whole', whole: { taxBp: 725, minimumCents: cents(9000), roundCents: cents(5) } },
      'smallest order 120.00 to 90.00, tax 6 % to 7.25 %, totals rounded to 0.05',
    ],
    ['a file', { kind: 'file', list: demoPrices[0]! }, '2 charges from a file'],
  ])('says in words that %s changed', (_, change, words) => {
    expect(changeWords(autumn, change)).toBe(words);
  });

  it('refuses what no list can be, and names it', () => {
    expect(changed(autumn, { kind: 'rate', rule: cut.id, rateCents: -1 })).toMatchObject({
      ok: false,
      field: expect.stringContaining('rateCents'),
    });
    expect(changed(autumn, { kind: 'rate', rule: 'gone', rateCents: 1 })).toMatchObject({
      ok: false,
      field: 'change.rule',
    });
    const nothing = autumn.rules.reduce<PriceList>(
      (list, rule) => withChange(list, { kind: 'without', rule: rule.id }),
      {
        ...autumn,
        rules: [...autumn.rules, {} as PriceRule],
      },
    );
    expect(nothing.rules).toHaveLength(1);
  });

  it('stands every charge in a group', () => {
    for (const basis of BASES) expect(BASIS_GROUPS).toContain(BASIS_WORDS[basis].group);
  });
});
