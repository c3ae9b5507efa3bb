/** Sizes of labels that a shop may have on its rolls, width before height, inches. */
export const LABEL_SIZES = ['4x3', '4x6', '4x2'] as const;
export type LabelSize = (typeof LABEL_SIZES)[number];

/**
 * The smallest type on a label, hundredths of an inch: 8 point, so that what the law asks for can be read by the one
 * who thaws it.
 */
export const SMALL_TYPE = 11.2;

/** How big things are on a label of a size; hundredths of an inch. */
export type LabelLayout = {
  /** How people say it. */
  readonly words: string;
  readonly width: number;
  readonly height: number;
  /** Sizes that the cut's name may have, the one to be wished for first. */
  readonly cut: readonly number[];
  /** The same of the weight. */
  readonly weight: readonly number[];
  /** The lines under the weight, and from one to the next. */
  readonly small: { readonly size: number; readonly step: number };
  /** How high the bars stand. */
  readonly bars: number;
};

export const LABEL_LAYOUTS: Readonly<Record<LabelSize, LabelLayout>> = {
  '4x3': {
    words: '4 × 3 in',
    width: 400,
    height: 300,
    cut: [22, 19, 16],
    weight: [38, 30, 24],
    small: { size: SMALL_TYPE, step: 13.2 },
    bars: 40,
  },
  '4x6': {
    words: '4 × 6 in',
    width: 400,
    height: 600,
    cut: [26, 22, 18],
    weight: [48, 38, 30],
    small: { size: 13, step: 16 },
    bars: 60,
  },
  '4x2': {
    words: '4 × 2 in',
    width: 400,
    height: 200,
    cut: [18, 16, 14],
    weight: [28, 22, 18],
    small: { size: SMALL_TYPE, step: 12.4 },
    bars: 26,
  },
};
