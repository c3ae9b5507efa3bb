import { formatWeight, type Weight, type WeighingUnit } from '@/core/quantity/weight';

/** A weight as the house shows it: numeral first, unit small. */
export function Amount({
  weight,
  unit,
  decimals = 2,
}: {
  weight: Weight;
  unit: WeighingUnit;
  decimals?: number;
}) {
  return (
    <>
      {formatWeight(weight, decimals)}
      <span className="unit">{unit}</span>
    </>
  );
}
