import type { GrindForm } from '../species/types';

/** One way in which a form of grind is made up. */
export type GrindSize = {
  readonly id: string;
  readonly label: string;
  /** Pieces to the pound, where they are counted. */
  readonly perLb?: number;
};

/**
 * Sizes that shops make (processing figures: patties of a quarter, a third, six ounces and half a pound; sheep casing
 * of 20 to 24 mm and hog casing of 32 to 36 mm; bulk in bags or in tubes of film).
 */
export const GRIND_SIZES: Readonly<Record<GrindForm, readonly GrindSize[]>> = {
  bulk: [
    { id: 'bag', label: 'in bags' },
    { id: 'tube', label: 'in tubes' },
  ],
  patties: [
    { id: 'quarter', label: 'four to the pound', perLb: 4 },
    { id: 'third', label: 'three to the pound', perLb: 3 },
    { id: 'six-oz', label: 'six ounces each', perLb: 16 / 6 },
    { id: 'half', label: 'two to the pound', perLb: 2 },
  ],
  links: [
    { id: 'wide', label: 'hog casing, 32 to 36 mm' },
    { id: 'narrow', label: 'sheep casing, 20 to 24 mm' },
  ],
  rings: [{ id: 'ring', label: 'hog casing, tied in a ring' }],
  logs: [
    { id: 'one-lb', label: 'logs of a pound', perLb: 1 },
    { id: 'two-lb', label: 'logs of two pounds', perLb: 0.5 },
  ],
  sticks: [
    { id: 'thin', label: 'collagen casing, 17 mm' },
    { id: 'thick', label: 'collagen casing, 21 mm' },
  ],
  strips: [{ id: 'strip', label: 'pressed in strips' }],
};

export function grindSize(form: GrindForm, id: string | undefined): GrindSize | undefined {
  return GRIND_SIZES[form].find((size) => size.id === id);
}
