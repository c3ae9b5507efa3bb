import type { WeighingUnit } from '../quantity/weight';

/** A load as it is printed for the file: words and figures, nothing to be worked out any more. */
export type LoadPaper = {
  readonly shop: string;
  readonly lot: string;
  readonly plan: string;
  readonly state: string;
  /** Minutes since it was lit, and degrees Fahrenheit. */
  readonly readings: readonly (readonly [number, number])[];
  readonly unit: WeighingUnit;
  readonly posts: readonly string[];
  readonly pieces: readonly {
    readonly words: string;
    /** Green, into the smoke, out of it. */
    readonly weights: readonly [string, string, string];
    readonly ppm: string;
  }[];
  readonly said: readonly string[];
};
