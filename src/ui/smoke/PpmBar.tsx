import styles from './SmokeScreen.module.css';

/** Ingoing nitrite against the limit of its class: full is the limit, and over it there is no way. */
export function PpmBar({ ppm, limit }: { ppm: number; limit: number }) {
  if (ppm <= 0) return <span className={styles.ppm}>no nitrite</span>;
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
