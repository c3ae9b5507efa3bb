import Link from 'next/link';
import { formatWeight, type Weight } from '@/core/quantity/weight';
import type { BatchOfDay, GrindOfDay, GrindView } from '@/server/grind';
import styles from './GrindScreen.module.css';

type Props = { job: GrindOfDay; batch: BatchOfDay; view: GrindView };

/** The mix as the packs it becomes, and what is in none yet: in and out as one bar. */
export function Packs({ job, batch: { standing, mostFilm }, view: { unit } }: Props) {
  const { mix, packed, isClosed } = standing;
  const left = (mix - packed) as Weight;
  const done = mix > 0 ? Math.min(1, packed / mix) : 0;
  return (
    <section className={styles.packs} aria-label="In and out">
      <p>
        <b>{formatWeight(packed, unit)}</b> of <b>{formatWeight(mix, unit)}</b> {unit} are packed
        {!isClosed && (
          <>
            , {formatWeight(left, unit)} are not; at most {formatWeight(mostFilm, unit)} may stay as film.{' '}
            <Link href={`/wrap/${job.shareId}`}>To the wrap table</Link>
          </>
        )}
      </p>
      <div className={styles.bar} aria-hidden>
        <i style={{ width: `${100 * done}%` }} />
      </div>
    </section>
  );
}
