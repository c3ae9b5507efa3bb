import fc from 'fast-check';
import { cents, sumCents, type Cents } from '../quantity/money';
import { weight, type Weight } from '../quantity/weight';
import { demoPrices } from '../tests/prices';
import { billFor, differences, type BillBasis, type BillItem } from './bill';
import { BASES, listInForce, type PriceList, type PriceRule } from './priceList';
import { priceListSchema } from './priceListSchema';

function rule(
  id: string,
  basis: PriceRule['basis'],
  rateCents: number,
  more: Partial<PriceRule> = {},
): PriceRule {
  return { id, label: id, basis, rateCents: cents(rateCents), ...more };
}

function list(rules: PriceRule[], more: Partial<PriceList> = {}): PriceList {
  return {
    id: 'test',
    name: 'Test prices',
    effectiveFrom: '2026-01-01',
    unit: 'lb',
    currency: 'USD',
    sign: '$',
    minimumCents: cents(0),
    taxBp: 600,
    rules,
    ...more,
  };
}

function item(cut: string, charges: string[], finished: number, more: Partial<BillItem> = {}): BillItem {
  return {
    cut,
    charges,
    green: weight(finished),
    finished: weight(finished),
    packages: 1,
    pieces: 1,
    racks: 1,
    ...more,
  };
}

function basis(hot: number, more: Partial<BillBasis> = {}): BillBasis {
  const headSplit = { parts: [1, 1], index: 0 };
  const animal = { species: 'hog', hot: weight(2 * hot) };
  return { animal, hot: weight(hot), cold: weight(hot), headSplit, items: [], deposit: cents(0), ...more };
}

const amounts = (prices: PriceList, on: BillBasis) =>
  Object.fromEntries(billFor(prices, on).lines.map((line) => [line.rule, line.amount]));

describe('one animal, two sheets', () => {
  const prices = list([
    rule('slaughter', 'head', 9500),
    rule('disposal', 'head', 3000),
    rule('split', 'extra-sheet', 5000),
    rule('cut', 'hot', 98),
    rule('patties', 'packaged', 55, { key: 'patties' }),
    rule('jerky', 'green', 650, { key: 'jerky' }),
    rule('boxes', 'package', 225, { key: 'boxes', taxable: true }),
  ]);
  const items = [
    item('patties', ['patties'], 23.33),
    item('jerky', ['jerky'], 8.7, { green: weight(18) }),
    item('boxes', ['boxes'], 1, { packages: 6 }),
  ];

  it('the first half pays its side, its work and its share of the head', () => {
    const bill = billFor(prices, basis(408.6, { items, deposit: cents(15_000) }));
    expect(Object.fromEntries(bill.lines.map((line) => [line.rule, line.amount]))).toEqual({
      slaughter: 4750,
      disposal: 1500,
      split: 2500,
      cut: 40_043,
      patties: 1283,
      jerky: 11_700,
      boxes: 1350,
      tax: 81,
      deposit: -15_000,
    });
    expect(bill.due).toBe(bill.total - 15_000);
  });

  it('the second half pays only its own', () => {
    const second = amounts(prices, basis(403.4, { headSplit: { parts: [1, 1], index: 1 } }));
    expect(second).toEqual({ slaughter: 4750, disposal: 1500, split: 2500, cut: 39_533 });
  });

  it('three owners share a head charge to the cent', () => {
    const head = list([rule('head', 'head', 10_001)]);
    const each = [0, 1, 2].map(
      (index) => amounts(head, basis(1, { headSplit: { parts: [1, 1, 1], index } })).head,
    );
    expect(each).toEqual([3334, 3334, 3333]);
  });

  it('one owner pays no second sheet', () => {
    expect(amounts(prices, basis(100, { headSplit: { parts: [2], index: 0 } }))).not.toHaveProperty('split');
  });
});

describe('every line', () => {
  it.each<[PriceRule['basis'], string, number]>([
    ['head', '1 head, share 1 of 2', 50],
    ['hot', '92.50 lb hot', 9250],
    ['cold', '91.00 lb cold', 9100],
    ['packaged', '9.62 lb packaged', 962],
    ['green', '10.44 lb green', 1044],
    ['finished', '9.62 lb finished', 962],
    ['package', '10 packages', 1000],
    ['piece', '4 pieces', 400],
    ['extra-sheet', '1 sheet after the first, share 1 of 2', 50],
    ['flat', '1', 100],
  ])('on %s says what it multiplied: %s', (on, quantity, amount) => {
    const bacon = item('Bacon', ['x'], 9.62, { green: weight(10.44), packages: 10, pieces: 4 });
    const key = ['packaged', 'green', 'finished', 'package', 'piece'].includes(on) ? { key: 'x' } : {};
    const [line] = billFor(
      list([rule('r', on, 100, key)]),
      basis(92.5, { cold: weight(91), items: [bacon] }),
    ).lines;
    expect(line).toMatchObject({ quantity, amount, basis: on });
    expect(line!.working.inputs).toContainEqual({ label: 'on', value: quantity });
    expect(line!.working.source).toContain('in force from 2026-01-01');
  });

  it('names every basis there is', () => {
    expect(BASES).toHaveLength(12);
  });

  it('is left out when nothing raises it', () => {
    expect(amounts(list([rule('smoking', 'green', 55, { key: 'smoking' })]), basis(90))).toEqual({});
  });
});

describe('the smallest order', () => {
  it('is topped up as a line of its own, before tax', () => {
    const lamb = list([rule('slaughter', 'head', 4500), rule('cut', 'hot', 105)], {
      minimumCents: cents(12_000),
    });
    const bill = billFor(lamb, basis(61, { headSplit: { parts: [2], index: 0 } }));
    expect(bill.lines.at(-1)).toMatchObject({ rule: 'minimum', amount: 1095 });
    expect(bill).toMatchObject({ subtotal: 10_905, total: 12_000 });
  });
});

describe('any bill', () => {
  it('adds up: its lines are its total, and the deposit comes off last', () => {
    const anyItem = fc.record({
      cut: fc.constant('cut'),
      charges: fc.subarray(['curing', 'smoking', 'slicing', 'vacuum', 'linking']),
      green: fc.integer({ min: 0, max: 30_000 }).map((w) => w as Weight),
      finished: fc.integer({ min: 0, max: 30_000 }).map((w) => w as Weight),
      packages: fc.integer({ min: 0, max: 40 }),
      pieces: fc.integer({ min: 0, max: 40 }),
      racks: fc.integer({ min: 1, max: 2 }),
    });
    fc.assert(
      fc.property(
        fc.array(anyItem, { maxLength: 10 }),
        fc.integer({ min: 1, max: 200_000 }),
        fc.integer({ min: 0, max: 50_000 }),
        fc.constantFrom([1], [1, 1], [2, 1, 1]),
        (items, hot, deposit, parts) => {
          const prices = listInForce(demoPrices, '2026-11-24')!;
          const bills = parts.map((_, index) =>
            billFor(prices, {
              animal: { species: 'hog', hot: (2 * hot) as Weight },
              hot: hot as Weight,
              cold: hot as Weight,
              headSplit: { parts, index },
              items,
              deposit: cents(deposit),
            }),
          );
          for (const bill of bills) {
            const own = bill.lines.filter((line) => line.basis !== 'deposit').map((line) => line.amount);
            expect(sumCents(own)).toBe(bill.total);
            expect(bill.due).toBe(bill.total - deposit);
            expect(bill.total).toBeGreaterThanOrEqual(prices.minimumCents);
          }
          const slaughter = bills.map((bill) => bill.lines.find((line) => line.rule === 'slaughter')!.amount);
          expect(sumCents(slaughter)).toBe(2 * hot > 250_000 ? 9400 : 7800);
        },
      ),
    );
  });
});

describe('estimate and final', () => {
  const prices = list([
    rule('cut', 'hot', 100),
    rule('smoking', 'green', 50, { key: 's' }),
    rule('tie', 'piece', 150, { key: 't' }),
  ]);

  it('are compared line by line, with the reason in words', () => {
    const before = billFor(prices, basis(90, { items: [item('Bacon', ['s'], 10), item('Roast', ['t'], 4)] }));
    const after = billFor(prices, basis(90, { items: [item('Bacon', ['s'], 9)] }));
    expect(differences(before, after)).toEqual([
      {
        label: 'smoking',
        estimated: 500,
        final: 450,
        sentence: 'Estimated on 10.00 lb green; it came to 9.00 lb green.',
      },
      { label: 'tie', estimated: 150, final: 0, sentence: 'Foreseen on 1 piece; it was not needed.' },
    ]);
    expect(differences(after, before)[1]!.sentence).toBe('Not foreseen: 1 piece.');
    expect(differences(before, before)).toEqual([]);
  });
});

describe('rules that are not for everybody', () => {
  const prices = list([
    rule('hog', 'head', 7800, {
      species: ['hog'],
      tiers: [
        { above: 250, rateCents: cents(9400) },
        { above: 400, rateCents: cents(12_000) },
      ],
    }),
    rule('beef', 'head', 13_500, { species: ['beef', 'bison'], payer: 'farm' }),
    rule('cut', 'hot', 100, { tiers: [{ above: 250, rateCents: cents(90) }] }),
    rule('rack', 'rack', 900, { key: 'frenching', species: ['lamb'] }),
  ]);
  const of = (species: string, hot: number, more: Partial<BillBasis> = {}) =>
    basis(50, { animal: { species, hot: weight(hot) }, ...more });

  it('go by the species', () => {
    expect(amounts(prices, of('hog', 200))).toEqual({ hog: 3900, cut: 5000 });
    expect(amounts(prices, of('lamb', 60))).toEqual({ cut: 5000 });
  });

  it.each([
    [250, 3900, 5000],
    [250.001, 4700, 4500],
    [400.5, 6000, 4500],
  ])('go by the weight of the animal: %d lb', (hot, hog, cut) => {
    expect(amounts(prices, of('hog', hot))).toEqual({ hog, cut });
  });

  it('stand apart where the farm pays', () => {
    const bill = billFor(prices, of('beef', 700));
    expect(bill.farm.map((line) => [line.rule, line.amount])).toEqual([['beef', 6750]]);
    expect(bill.total).toBe(bill.lines.reduce((sum, line) => sum + line.amount, 0));
    expect(bill.lines.map((line) => line.rule)).toEqual(['cut']);
  });

  it('take a part of all other charges, of whoever pays them', () => {
    const prices = list([
      rule('card', 'percent', 275),
      rule('cut', 'flat', 10_001),
      rule('kill', 'flat', 5000, { payer: 'farm' }),
      rule('levy', 'percent', 1000, { payer: 'farm' }),
      rule('tip', 'percent', 100),
    ]);
    const bill = billFor(prices, of('hog', 200));
    // 2.75 % of 100.01 is 2.750275, 1 % is 1.0001: neither is of the other, and each is half a cent up.
    expect(bill.lines.map((line) => [line.rule, line.amount])).toEqual([
      ['card', 275],
      ['cut', 10_001],
      ['tip', 100],
    ]);
    expect(bill.farm.map((line) => [line.rule, line.amount])).toEqual([
      ['kill', 5000],
      ['levy', 500],
    ]);
    expect(bill.lines[0]!.quantity).toBe('2.75 % of $100.01');
  });

  it.each([
    [10_002, 5, -2],
    [10_003, 5, 2],
    [10_005, 10, 5],
    [10_000, 5, 0],
    [10_049, 100, -49],
  ])('a total of %d is rounded to %d by a line of its own, %d', (rate, roundCents, by) => {
    const prices = { ...list([rule('cut', 'flat', rate)]), roundCents: cents(roundCents) };
    const bill = billFor(prices, of('hog', 200, { deposit: cents(1001) }));
    expect(bill.lines.find((line) => line.rule === 'rounding')?.amount ?? 0).toBe(by);
    expect(bill.total % roundCents).toBe(0);
    expect(bill.due).toBe(bill.total - 1001);
  });

  it('charge a rack once, into however many cutlets it is cut', () => {
    const cutlets = item('Cutlets', ['frenching'], 3, { pieces: 16, racks: 2 });
    expect(amounts(prices, of('lamb', 60, { items: [cutlets] }))).toMatchObject({ rack: 1800 });
  });
});

describe('dated prices', () => {
  it('hold from their day until the next list begins', () => {
    expect(listInForce(demoPrices, '2026-02-28')).toBeUndefined();
    expect(listInForce(demoPrices, '2026-03-01')!.id).toBe('spring-2026');
    expect(listInForce(demoPrices, '2026-08-31')!.id).toBe('spring-2026');
    expect(listInForce(demoPrices, '2026-09-01')!.id).toBe('autumn-2026');
  });

  it.each<[string, object]>([
    ['a rate in dollars', { rules: [{ ...rule('a', 'hot', 1), rateCents: 0.98 as Cents }] }],
    ['a charge on nothing', { rules: [{ ...rule('a', 'hot', 1), basis: 'luck' }] }],
    ['the same rule twice', { rules: [rule('a', 'hot', 1), rule('a', 'cold', 1)] }],
    ['a day that is not one', { effectiveFrom: 'soon' }],
    ['more tax than there is', { taxBp: 20_000 }],
  ])('refuse %s', (_, wrong) => {
    expect(priceListSchema.validate({ ...list([rule('a', 'hot', 1)]), ...wrong }).error).toBeDefined();
  });
});
