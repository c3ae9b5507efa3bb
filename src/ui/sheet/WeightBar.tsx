'use client';

import type { Forecast } from '@/core/forecast/types';
import { formatWeight, sumWeights, type Weight, type WeighingUnit } from '@/core/quantity/weight';
import { DESTINATIONS, type Destination } from '@/core/species/types';
import type { WeightBasis } from '@/core/hang/sideToCut';
import { destinationClass, DESTINATION_WORDS } from '../kit/DestinationMark';
import styles from './SheetScreen.module.css';

type Part = { key: string; label: string; weight: Weight; destination: Destination };

const BASIS_WORDS: Record<WeightBasis, string> = {
  cold: 'cold, as weighed',
  hot: 'expected cold, from the hot weight',
  usual: 'a usual animal; nothing is weighed yet',
};

/** The whole hanging weight as one bar that always adds up. */
export function WeightBar({
  forecast,
  unit,
  basis,
}: {
  forecast: Forecast;
  unit: WeighingUnit;
  basis: WeightBasis;
}) {
  const parts = partsOf(forecast);
  return (
    <footer className={styles.bar}>
      <div>
        <b>
          {formatWeight(forecast.coldWeight, unit)} {unit} {BASIS_WORDS[basis]}.
        </b>{' '}
        Where it goes, if nothing changes:
      </div>
      <ol aria-label="Where the weight goes">
        {parts.map((part) => (
          <li
            key={part.key}
            className={destinationClass(part.destination)}
            style={{ flexGrow: part.weight }}
            title={`${part.label} ${formatWeight(part.weight, unit)} ${unit}`}
          >
            <span>{part.label}</span>
            <b>{formatWeight(part.weight, 1)}</b>
          </li>
        ))}
      </ol>
    </footer>
  );
}

function partsOf({ lines, losses }: Forecast): Part[] {
  const boxed = DESTINATIONS.filter((destination) => destination !== 'lost').map((destination) => ({
    key: destination,
    label: DESTINATION_WORDS[destination],
    weight: sumWeights(lines.filter((line) => line.destination === destination).map((line) => line.packaged)),
    destination,
  }));
  const { fat, bone, skin, inedible, cure, kerf, grinder, cuttingShrink } = losses;
  const lost = [
    { key: 'bone', label: 'bone', weight: bone },
    { key: 'fat', label: 'fat', weight: fat },
    { key: 'skin', label: 'skin', weight: skin },
    {
      key: 'rest',
      label: 'cure, saw, air',
      weight: sumWeights([inedible, cure, kerf, grinder, cuttingShrink]),
    },
  ].map((part) => ({ ...part, destination: 'lost' as const }));
  return [...boxed, ...lost].filter((part) => part.weight > 0);
}
