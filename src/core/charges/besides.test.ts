import { cents, sumCents, ZERO_CENTS } from '../quantity/money';
import { weight } from '../quantity/weight';
import { demoPrices } from '../tests/prices';
import { billsBeside } from './besides';
import { FOOT_LINES, type BillBasis } from './bill';
import { copyOf, withChanges } from './changes';

const autumn = demoPrices.at(-1)!;
const winter = copyOf(autumn, { id: 'winter', name: 'Winter prices', effectiveFrom: '2027-01-04' });
const basis: BillBasis = {
  animal: { species: 'beef', hot: weight(780) },
  hot: weight(391.5),
  cold: weight(366.2),
  headSplit: { parts: [1, 1], index: 0 },
  items: [
    {
      cut: 'Boned',
      charges: ['boning', 'vacuum'],
      green: weight(36),
      finished: weight(36),
      packages: 20,
      pieces: 20,
      racks: 1,
    },
  ],
  deposit: ZERO_CENTS,
};

describe('two lists on one order', () => {
  const changes = [
    { kind: 'rate', rule: 'cut-and-wrap', rateCents: 104 },
    { kind: 'without', rule: 'disposal' },
    { kind: 'charge', charge: { id: 'box', label: 'Boxes', basis: 'flat', rateCents: cents(499) } },
  ] as const;
  const beside = billsBeside(autumn, withChanges(winter, changes), basis);
  const charge = (id: string) =>
    beside.groups.flatMap((group) => group.charges).find((each) => each.id === id)!;

  it('have every charge of either once, with what it comes to and came to', () => {
    const ids = beside.groups.flatMap((group) => group.charges.map(({ id }) => id));
    expect(new Set(ids).size).toBe(ids.length);
    expect(ids.sort()).toEqual([...autumn.rules.map(({ id }) => id), 'box'].sort());
    expect(charge('cut-and-wrap')).toMatchObject({ more: Math.round(391.5 * 104) - Math.round(391.5 * 98) });
    expect(charge('disposal')).toMatchObject({ rule: undefined, more: -750 });
    expect(charge('box')).toMatchObject({ was: undefined, more: 499 });
  });

  it('stand in groups that add up to the charges of the bill and of the farm', () => {
    const taxes = [...FOOT_LINES, 'deposit'];
    const charged = [...beside.bill.lines, ...beside.bill.farm].filter((line) => !taxes.includes(line.rule));
    expect(sumCents(beside.groups.map((group) => group.amount))).toBe(
      sumCents(charged.map((line) => line.amount)),
    );
    expect(beside.groups.map((group) => group.group)[0]).toBe('the animal');
  });
});
