'use client';

import Image from 'next/image';
import { LABEL_LAYOUTS, LABEL_SIZES } from '@/core/label/sizes';
import { counted } from '@/core/quantity/counted';
import type { HouseRules } from '@/core/shop/houseRules';
import type { LabelSample } from '@/server/shop';
import { useLive } from '../kit/live/useLive';
import type { SetUpState } from './useSetUp';
import { Toggle } from './Toggle';
import { ValueField } from './ValueField';
import styles from './SetUp.module.css';

/** What may be said otherwise on a label; what the law demands stands on every one. */
export function LabelRules({ state, first }: { state: SetUpState; first: LabelSample }) {
  const { rules } = state.view;
  const { value: sample } = useLive('labelSampleView', {}, first);
  const change = (changed: Partial<HouseRules>) => state.change({ kind: 'rules', rules: changed });
  return (
    <tbody>
      <tr className={styles.part}>
        <th colSpan={2}>Labels</th>
      </tr>
      <tr>
        <td>On the roll</td>
        <td>
          <span className={styles.days} role="group" aria-label="Size of labels">
            {LABEL_SIZES.map((size) => (
              <Toggle
                key={size}
                pressed={rules.labelSize === size}
                onPress={() => void change({ labelSize: size })}
              >
                {LABEL_LAYOUTS[size].words}
              </Toggle>
            ))}
          </span>
        </td>
      </tr>
      <tr>
        <td>Before the best-by date</td>
        <td>
          <ValueField
            label="Before the best-by date"
            kept={rules.labelDate}
            width="words"
            own
            problem={(text) => (text.length > 0 && text.length <= 40 ? '' : '1 to 40 letters')}
            keep={(labelDate) => change({ labelDate })}
          />
        </td>
      </tr>
      <tr>
        <td>The farm</td>
        <td>
          <Toggle pressed={rules.labelFarm} onPress={() => void change({ labelFarm: !rules.labelFarm })}>
            {rules.labelFarm ? 'named on every label' : 'not named'}
          </Toggle>
        </td>
      </tr>
      <tr>
        <td>At the foot of a label</td>
        <td>
          <ValueField
            label="At the foot of a label"
            kept={rules.labelNote}
            width="words"
            own
            problem={(text) => (text.length <= 60 ? '' : '60 letters at most')}
            keep={(labelNote) => change({ labelNote })}
          />
        </td>
      </tr>
      <tr>
        <td colSpan={2} className={styles.sample}>
          {sample.svg === '' ? (
            <p className="alarm">The words of a cured cut do not fit on this label.</p>
          ) : (
            <Image
              unoptimized
              width={340}
              height={255}
              alt="A label as it is printed now"
              src={`data:image/svg+xml,${encodeURIComponent(sample.svg)}`}
            />
          )}
          {sample.tooLong.length > 0 && (
            <p className="alarm">
              Too long for this label, and not printed on it: {counted(sample.tooLong.length, 'thing')} of the
              recipe book. {sample.tooLong.slice(0, 4).join(', ')}
              {sample.tooLong.length > 4 && ' and others'}.
            </p>
          )}
        </td>
      </tr>
    </tbody>
  );
}
