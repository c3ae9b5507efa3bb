import { USUAL_WASH } from '@/core/grindroom/board';
import { gramsShown } from '@/core/curing/ingredients';
import type { GrindOfDay } from '@/server/grind';
import { IngredientOnScale, MeatOnScale } from './OnScale';
import styles from './OnScale.module.css';
import type { AtGrinder, NextAct } from './useGrind';
import { ppmWords } from './words';

const WASH_CAUTIONS = {
  scrape: 'Scrape and sanitise: head open, all of the last owner’s meat out. Lock out before you clean.',
  species: 'Knives, tables, saw and grinder. Lock out before you clean.',
  wet: 'Take it apart, wash and rinse hot; look at it again before milk, wheat or another rite. Lock out before you clean.',
} as const;

type Props = { grinder: AtGrinder; job: GrindOfDay; act: NextAct };

/** What comes next: what lies on the scale for it, or what is missing. */
export function NextPanel({ grinder: { scale, view, lotOf, tubAt }, job, act }: Props) {
  const { batch } = job;
  if (act.does === 'meat') {
    return <MeatOnScale scale={scale} unit={view.unit} job={job} at={tubAt} />;
  }
  if (act.does === 'weigh' && batch)
    return <IngredientOnScale due={act.due} scale={scale} batch={batch} lot={lotOf(act.due.name)} />;
  return (
    <section className={styles.onScale} aria-label="What comes next">
      <h2>{act.does === 'look' ? act.due.name : job.recipe}</h2>
      {act.does === 'look' && batch && (
        <p className={styles.figure}>
          {gramsShown(act.due.weighed ?? 0)} <small>g</small>
        </p>
      )}
      {act.does === 'wash' && (
        <>
          <p className={styles.figure}>
            {USUAL_WASH[act.wash]} <small>min</small>
          </p>
          <p>{WASH_CAUTIONS[act.wash]}</p>
        </>
      )}
      {batch?.standing.ppm != null && <p>{ppmWords(batch)}</p>}
      {batch?.standing.held && (
        <p className={styles.caution}>Held: {batch.standing.held}. Nothing leaves it.</p>
      )}
      {(batch?.missing ?? []).map((words) => (
        <p key={words}>{words}</p>
      ))}
    </section>
  );
}
