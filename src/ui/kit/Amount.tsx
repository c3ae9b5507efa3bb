import { formatMoney, type Cents } from '@/core/quantity/money';
import { formatWeight, type Weight, type WeighingUnit } from '@/core/quantity/weight';

type AmountProps = {
  weight: Weight;
  unit: WeighingUnit;
  /** Fewer than usual for the unit, where a glance is enough. */
  decimals?: number;
};

/** A weight as the house shows it: numeral first, unit small. */
export function Amount({ weight, unit, decimals }: AmountProps) {
  return (
    <>
      {formatWeight(weight, decimals ?? unit)}
      <span className="unit">{unit}</span>
    </>
  );
}

/** A share of a hundred, with the decimals that it deserves. */
export function Percent({ value, decimals = 1 }: { value: number; decimals?: number }) {
  return (
    <>
      {value.toFixed(decimals)}
      <span className="unit">%</span>
    </>
  );
}

/** An amount of money; what is added to or taken from another stands with its sign. */
export function Money({ cents, sign, signed = false }: { cents: Cents; sign: string; signed?: boolean }) {
  const amount = formatMoney((signed ? Math.abs(cents) : cents) as Cents, sign);
  return signed && cents !== 0 ? `${cents > 0 ? '+' : '−'}${amount}` : amount;
}
