import type { PartOfWhole } from '@/core/order/whole';
import { formatWeight, type WeighingUnit } from '@/core/quantity/weight';
import { destinationClass } from './DestinationMark';
import styles from './WholeBar.module.css';

type Props = { parts: readonly PartOfWhole[]; unit: WeighingUnit; label: string };

/** As fine as the figure that stands on it: what looks the same is not drawn again. */
const breadth = (part: number) => Math.max(0, Math.round(part / 100));

/** A whole weight as one bar that always adds up. What is weighed to nothing yet is an empty box, never hatched. */
export function WholeBar({ parts, unit, label }: Props) {
  return (
    <ol aria-label={label} className={styles.bar}>
      {parts
        .filter((part) => part.weight !== 0)
        .map((part) => (
          <li
            key={part.key}
            className={part.open ? styles.open : destinationClass(part.destination)}
            style={{ flexGrow: breadth(part.weight) }}
            title={`${part.label} ${formatWeight(part.weight, unit)} ${unit}`}
          >
            <span>{part.label}</span>
            <b>{formatWeight(part.weight, 1)}</b>
          </li>
        ))}
    </ol>
  );
}
