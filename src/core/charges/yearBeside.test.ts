import { cents, sumCents } from '../quantity/money';
import { weight } from '../quantity/weight';
import { demoPrices } from '../tests/prices';
import { billFor, type BillBasis } from './bill';
import { withChange } from './changes';
import { yearBeside, type FinishedShare } from './yearBeside';

const was = demoPrices.at(-1)!;
const now = withChange(was, { kind: 'rate', rule: 'cut-and-wrap', rateCents: cents(120) });

function share(name: string, species: string, hot: number): FinishedShare {
  const basis: BillBasis = {
    animal: { species, hot: weight(2 * hot) },
    hot: weight(hot),
    cold: weight(hot),
    headSplit: { parts: [1, 1], index: 0 },
    items: [],
    deposit: cents(5000),
  };
  return { name, species, basis };
}

it('adds up what each pays, by species and together, without deposits', () => {
  const shares = [share('A', 'hog', 200), share('B', 'beef', 400), share('C', 'hog', 150)];
  const year = yearBeside(was, now, shares);
  const totals = (list: typeof was) => shares.map(({ basis }) => billFor(list, basis).total);
  expect(year.whole).toMatchObject({ shares: 3, was: sumCents(totals(was)), now: sumCents(totals(now)) });
  expect(year.species.map(({ name, shares: count }) => [name, count])).toEqual([
    ['hog', 2],
    ['beef', 1],
  ]);
  expect(sumCents(year.species.map((each) => each.now))).toBe(year.whole.now);
  expect(year.most!.name).toBe('B');
  expect(year.least!.name).toBe('C');
});

it('of nobody says so', () => {
  expect(yearBeside(was, now, [])).toMatchObject({
    whole: { shares: 0, was: 0, now: 0 },
    most: null,
    least: null,
  });
});
