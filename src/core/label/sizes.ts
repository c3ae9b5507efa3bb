/** Sizes of labels that a shop may have on its rolls, width before height, inches. */
export const LABEL_SIZES = ['4x3', '4x6', '4x2'] as const;
export type LabelSize = (typeof LABEL_SIZES)[number];

/** Where things stand on a label; hundredths of an inch. */
export type LabelLayout = {
  /** How people say it. */
  readonly words: string;
  readonly width: number;
  readonly height: number;
  /** Baseline and size; a name with more letters is drawn closer. */
  readonly cut: { readonly y: number; readonly size: number; readonly letters: number };
  readonly detail: { readonly y: number; readonly size: number };
  readonly weight: { readonly y: number; readonly size: number };
  /** The small lines under the weight: the first baseline, from one to the next, and how many there is room for. */
  readonly small: {
    readonly y: number;
    readonly step: number;
    readonly size: number;
    readonly lines: number;
  };
  /** Letters of a small line between the margins. */
  readonly letters: number;
  readonly bars: { readonly up: number; readonly height: number };
};

const usual: LabelLayout = {
  words: '4 × 3 in',
  width: 400,
  height: 300,
  cut: { y: 52, size: 20, letters: 26 },
  detail: { y: 70, size: 11 },
  weight: { y: 112, size: 38 },
  small: { y: 130, step: 10.5, size: 8.5, lines: 10 },
  letters: 69,
  bars: { up: 72, height: 46 },
};

export const LABEL_LAYOUTS: Readonly<Record<LabelSize, LabelLayout>> = {
  '4x3': usual,
  '4x6': {
    ...usual,
    words: '4 × 6 in',
    height: 600,
    small: { y: 134, step: 15, size: 12, lines: 26 },
    letters: 49,
  },
  '4x2': {
    ...usual,
    words: '4 × 2 in',
    height: 200,
    cut: { y: 40, size: 17, letters: 32 },
    detail: { y: 53, size: 9 },
    weight: { y: 80, size: 26 },
    small: { y: 92, step: 8.6, size: 7.4, lines: 7 },
    letters: 80,
    bars: { up: 48, height: 30 },
  },
};
