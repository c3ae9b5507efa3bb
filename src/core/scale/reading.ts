import type { WeighingUnit } from '../quantity/weight';

/** What scales weigh in: the shop's unit, and grams for what is weighed by the pinch. */
export type ScaleUnit = WeighingUnit | 'g';

/** What a scale says, many times a second. Weights in thousandths of its unit. */
export type ScaleReading = {
  readonly scaleId: string;
  /** Names what lies on the platform; a new one each time the platform has been empty. */
  readonly loadId: string;
  readonly gross: number;
  readonly tare: number;
  readonly net: number;
  readonly unit: ScaleUnit;
  readonly state: 'steady' | 'moving' | 'overload' | 'empty';
  /** It lay there before anybody looked: whether it was taken before is not known. */
  readonly found?: boolean;
};

/** A reading as it leaves the shop: with its time, and signed, so that nobody on the way to the table and back can change it. */
export type SignedReading = ScaleReading & {
  /** ISO 8601, UTC, by the shop's clock. */
  readonly takenAt: string;
  readonly signature: string;
};
