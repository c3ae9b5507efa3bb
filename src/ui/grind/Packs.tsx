import Link from 'next/link';
import { counted } from '@/core/quantity/counted';
import { formatWeight, type Weight, type WeighingUnit } from '@/core/quantity/weight';
import type { BatchOfDay, GrindOfDay, GrindView } from '@/server/grind';
import styles from './GrindScreen.module.css';

/** What whole packs could not part evenly. */
function givenWords(given: Weight, unit: WeighingUnit): string {
  if (given === 0) return 'parted evenly';
  const pounds = `${formatWeight(Math.abs(given) as Weight, unit)} ${unit}`;
  return given > 0 ? `${pounds} of it in others’ packs` : `${pounds} of others’ in its packs`;
}

type Props = { job: GrindOfDay; batch: BatchOfDay; view: GrindView };

/** The mix as the packs it becomes, and what is in none yet: in and out as one bar. */
export function Packs({ job, batch: { standing, mostFilm, owners, made }, view: { unit } }: Props) {
  const { mix, packed, isClosed } = standing;
  const left = (mix - packed) as Weight;
  const done = mix > 0 ? Math.min(1, packed / mix) : 0;
  return (
    <section className={styles.packs} aria-label="In and out">
      <p>
        <b>{formatWeight(packed, unit)}</b> of <b>{formatWeight(mix, unit)}</b> {unit} are packed,{' '}
        {counted(made.packs, 'pack')}
        {owners.length === 0 && ` of ${job.packs}`}
        {job.pieces !== null && `, ${made.pieces} of ${job.pieces} pieces`}
        {!isClosed && (
          <>
            , {formatWeight(left, unit)} are not; at most {formatWeight(mostFilm, unit)} may stay as film.{' '}
            {owners.length === 0 && <Link href={`/wrap/${job.shareId}`}>To the wrap table</Link>}
          </>
        )}
      </p>
      {owners.map(({ shareId, name, meat, packsDue, packsMade, given }) => (
        <p key={shareId} className={styles.owner}>
          <Link href={`/wrap/${shareId}`}>{name}</Link>: {formatWeight(meat, unit)} {unit} of meat,{' '}
          <b>
            {packsMade} of {packsDue}
          </b>{' '}
          packs{given !== null && `; ${givenWords(given, unit)}`}
        </p>
      ))}
      <div className={styles.bar} aria-hidden>
        <i style={{ width: `${100 * done}%` }} />
      </div>
    </section>
  );
}
