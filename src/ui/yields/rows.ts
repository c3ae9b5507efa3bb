import { DESTINATION_WORDS, type Destination } from '@/core/species/types';
import { PARTS, RATES, type Part, type RateId } from '@/core/yields/rates';
import type { YieldsView } from '@/server/yields';

/** One line of the picture, and of the table behind it. */
export type Row = {
  readonly part: Part;
  /** Where its figures stand among those of a stroke. */
  readonly at: number;
  readonly label: string;
  /** How it is marked; null where it has no mark of its own. */
  readonly mark: Destination | null;
  readonly isWhole: boolean;
};

/** The lines of the picture in its order; what nothing went to is left out. */
export function rowsOf({ spreads }: Pick<YieldsView, 'spreads'>): Row[] {
  return PARTS.map((part, at) => ({
    part,
    at,
    label: labelOf(part),
    mark: markOf(part),
    isWhole: part === 'packed-hot',
  })).filter(({ part, isWhole }) => isWhole || Math.abs(spreads[part]?.mean ?? 0) >= 0.05);
}

function labelOf(part: Part): string {
  if (part === 'packed-hot') return 'in the packs';
  return part in DESTINATION_WORDS ? DESTINATION_WORDS[part as Destination] : RATES[part as RateId].label;
}

function markOf(part: Part): Destination | null {
  if (part === 'packed-hot' || part === 'unaccounted') return null;
  return part in DESTINATION_WORDS ? (part as Destination) : 'lost';
}
