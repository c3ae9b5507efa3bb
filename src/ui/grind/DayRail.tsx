import type { GrindOfDay, GrindView } from '@/server/grind';
import styles from './DayRail.module.css';

const WASH_WORDS = { none: '', scrape: 'scrape', species: 'clean', wet: 'wet clean' } as const;

/** Minutes are as long as this on the rail, in pixels; and never shorter than the least. */
const [PIXELS_A_MINUTE, LEAST_PIXELS] = [1.6, 24];

type Props = { view: GrindView; inHand: string; onPick: (id: string) => void };

/** The day as a rail: batches hang on it, and every wash is a piece cut out of it, as long as its minutes. */
export function DayRail({ view: { day, jobs }, inHand, onPick }: Props) {
  const over = jobs.filter(({ batch }) => batch?.standing.isClosed);
  const jobOf = new Map(jobs.map((job) => [job.id, job]));
  return (
    <ol className={styles.rail} aria-label="The day at the grinder">
      {over.map((job) => (
        <li key={job.id} className={styles.over}>
          <button type="button" onClick={() => onPick(job.id)} title={wordsOf(job)}>
            <i />
            <span>{job.name.split(',')[0]}</span>
          </button>
        </li>
      ))}
      {day.order.map(({ id, wash, minutes }, at) => {
        const job = jobOf.get(id)!;
        return (
          <li key={id} className={styles.job} data-in-hand={id === inHand || undefined}>
            {minutes > 0 && (
              <span
                className={styles.wash}
                style={{ minWidth: Math.max(LEAST_PIXELS, minutes * PIXELS_A_MINUTE) }}
              >
                <b>{minutes} min</b>
                <i />
                {WASH_WORDS[wash]}
              </span>
            )}
            <button type="button" aria-current={id === inHand || undefined} onClick={() => onPick(id)}>
              <b>
                {over.length + at + 1} {job.name.split(',')[0]}
              </b>
              <i />
              <span>
                {job.species}, {job.cut}
                {job.allergens.length > 0 && <em>: {job.allergens.join(', ')}</em>}
              </span>
            </button>
          </li>
        );
      })}
    </ol>
  );
}

function wordsOf({ name, cut }: GrindOfDay): string {
  return `${name}: ${cut}, closed`;
}
