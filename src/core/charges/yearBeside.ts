import { sumCents, ZERO_CENTS, type Cents } from '../quantity/money';
import { billFor, type BillBasis } from './bill';
import type { PriceList } from './priceList';

/** A finished share as far as its bill goes. */
export type FinishedShare = { readonly name: string; readonly species: string; readonly basis: BillBasis };

/** What some shares pay under two lists; deposits are not taken off, and the farm's part is not in it. */
export type PaidBeside = {
  readonly name: string;
  readonly shares: number;
  readonly was: Cents;
  readonly now: Cents;
};

export type YearBeside = {
  readonly whole: PaidBeside;
  /** By species, in the order in which they are met. */
  readonly species: readonly PaidBeside[];
  /** Whose bill rises most, and whose falls most or rises least; null where there is no share. */
  readonly most: PaidBeside | null;
  readonly least: PaidBeside | null;
};

/** Finished shares worked under two price lists: what a new list would have meant for those who came last year. */
export function yearBeside(was: PriceList, now: PriceList, shares: readonly FinishedShare[]): YearBeside {
  const paid = shares.map(({ name, species, basis }) => ({
    name,
    species,
    shares: 1,
    was: billFor(was, basis).total,
    now: billFor(now, basis).total,
  }));
  const rising = [...paid].sort((a, b) => b.now - b.was - (a.now - a.was));
  const species = [...new Set(paid.map((each) => each.species))];
  return {
    whole: together('all', paid),
    species: species.map((id) =>
      together(
        id,
        paid.filter((each) => each.species === id),
      ),
    ),
    most: rising[0] ?? null,
    least: rising.at(-1) ?? null,
  };
}

function together(name: string, paid: readonly PaidBeside[]): PaidBeside {
  return paid.reduce<PaidBeside>(
    (sum, each) => ({
      name,
      shares: sum.shares + 1,
      was: sumCents([sum.was, each.was]),
      now: sumCents([sum.now, each.now]),
    }),
    { name, shares: 0, was: ZERO_CENTS, now: ZERO_CENTS },
  );
}
