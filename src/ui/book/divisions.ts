import type { SharePart } from '@/core/shares/parts';

/** How an animal is divided among those who buy it. */
export type Division = {
  readonly id: string;
  readonly label: string;
  /** What it means, where it is chosen. */
  readonly explains: string;
  readonly parts: readonly { readonly part: SharePart; readonly sharePct: number }[];
  /** Only of animals that are quartered. */
  readonly quarters?: boolean;
};

const all = (part: SharePart) => ({ part, sharePct: 100 });
const half = (part: SharePart) => ({ part, sharePct: 50 });

/** In the order in which a key goes through them. */
export const DIVISIONS: readonly Division[] = [
  {
    id: 'halves',
    label: 'two halves',
    explains: 'A half is one side, with its own sheet: fore and hind, all cuts of it.',
    parts: [all('left'), all('right')],
  },
  {
    id: 'whole',
    label: 'one whole',
    explains: 'Both sides for one household, one sheet.',
    parts: [all('whole')],
  },
  {
    id: 'mixed',
    label: 'four mixed quarters',
    explains:
      'A mixed quarter is half of a side: the side is cut as one by one sheet, and the packages are shared out fairly.',
    parts: [half('left'), half('left'), half('right'), half('right')],
  },
  {
    id: 'half-mixed',
    label: 'a half and two mixed quarters',
    explains: 'The left side for one household, the right one cut as one and shared out by two.',
    parts: [all('left'), half('right'), half('right')],
  },
  {
    id: 'quarters',
    label: 'fore and hind quarters',
    explains: 'A fore quarter has chuck, rib and brisket, a hind quarter loin and round: they are not alike.',
    parts: [all('left-fore'), all('left-hind'), all('right-fore'), all('right-hind')],
    quarters: true,
  },
  {
    id: 'percent',
    label: 'by percent',
    explains: 'The whole animal cut as one by one sheet; the packages are shared out by percent.',
    parts: [half('whole'), half('whole')],
  },
];

export function divisionNamed(id: string): Division {
  return DIVISIONS.find((division) => division.id === id) ?? DIVISIONS[0]!;
}
