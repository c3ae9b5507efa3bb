import { DESTINATION_WORDS, type Destination } from '@/core/species/types';
import styles from './DestinationMark.module.css';

/** The small square of a destination: colour and pattern, the same on every screen; the word never fails beside it. */
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
