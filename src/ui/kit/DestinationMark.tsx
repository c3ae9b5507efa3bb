import type { Destination } from '@/core/species/types';
import styles from './DestinationMark.module.css';

/** The word of each destination; the colour never stands alone. */
export const DESTINATION_WORDS: Readonly<Record<Destination, string>> = {
  steaks: 'steaks and chops',
  roasts: 'roasts',
  grind: 'grind',
  cured: 'cured and smoked',
  bones: 'ribs and bones kept',
  offal: 'offal and fat kept',
  lost: 'bone, fat, air, saw',
};

/** The small square of a destination: colour and pattern, the same on every screen. */
export function DestinationMark({ destination }: { destination: Destination }) {
  return (
    <span
      className={`${styles.mark} ${styles[destination]}`}
      role="img"
      aria-label={DESTINATION_WORDS[destination]}
      title={DESTINATION_WORDS[destination]}
    />
  );
}

/** Colour and pattern of a destination for larger areas. */
export function destinationClass(destination: Destination): string {
  return styles[destination]!;
}
