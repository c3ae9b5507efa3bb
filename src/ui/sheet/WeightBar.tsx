'use client';

import type { Forecast } from '@/core/forecast/types';
import type { WeightBasis } from '@/core/hang/sideToCut';
import { expectedParts } from '@/core/order/whole';
import { formatWeight, type WeighingUnit } from '@/core/quantity/weight';
import { BASIS_WORDS } from '../kit/words';
import { WholeBar } from '../kit/WholeBar';
import styles from './SheetScreen.module.css';

type Props = { forecast: Forecast; unit: WeighingUnit; basis: WeightBasis };

/** The whole hanging weight as one bar that always adds up. */
export function WeightBar({ forecast, unit, basis }: Props) {
  return (
    <footer className={styles.bar}>
      <div>
        <b>
          {formatWeight(forecast.coldWeight, unit)} {unit} {BASIS_WORDS[basis]}.
        </b>{' '}
        Where it goes, if nothing changes:
      </div>
      <WholeBar parts={expectedParts(forecast)} unit={unit} label="Where the weight goes" />
    </footer>
  );
}
