import { NUMBER_WORDS } from '@/core/quantity/numberWords';
import { listed } from '@/core/quantity/listed';
import type { BookableSpecies } from '@/server/book';
import type { Call } from './call';

/** What a call comes to, to be read back before it is booked. */
export type CallSum = {
  readonly shares: number;
  readonly sold: number;
  readonly unsold: number;
  readonly deposits: number;
};

export function sumOf({ animals }: Call): CallSum {
  const shares = animals.flatMap((animal) => animal.shares);
  const unsold = shares.filter((share) => share.unsold).length;
  const deposits = shares.reduce((sum, share) => {
    const paid = Number(share.deposit.replace(',', '.'));
    return sum + (share.unsold || !Number.isFinite(paid) ? 0 : paid);
  }, 0);
  return { shares: shares.length, sold: shares.length - unsold, unsold, deposits };
}

/** The animals in words: `one beef and two hogs`. */
export function animalsInWords({ animals }: Call, species: readonly BookableSpecies[]): string {
  const counts = species
    .map(({ id, name }) => ({
      name: name.toLowerCase(),
      count: animals.filter((animal) => animal.species === id).length,
    }))
    .filter(({ count }) => count > 0)
    .map(({ name, count }) => `${NUMBER_WORDS[count] ?? count} ${count > 1 ? `${name}s` : name}`);
  return listed(counts);
}
