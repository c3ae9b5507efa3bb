import styles from './SmokeScreen.module.css';

/**
 * Ingoing nitrite against the limit of its class: full is the limit, and over it there is no way.
 *
 * @param isBegun - nothing of it may be weighed yet, and it will be
 */
export function PpmBar({ ppm, limit, isBegun = false }: { ppm: number; limit: number; isBegun?: boolean }) {
  if (ppm <= 0 && !isBegun) return <span className={styles.ppm}>no nitrite</span>;
  const over = Math.round(ppm) > limit;
  return (
    <span className={styles.ppm} data-over={over || undefined}>
      <i aria-hidden>
        <i style={{ width: `${Math.min(100, (100 * ppm) / limit)}%` }} />
      </i>
      <b>{Math.round(ppm)}</b> ppm nitrite, limit {limit}
    </span>
  );
}
