import type { StepAtBlock } from '@/server/block';
import styles from './StepRail.module.css';

type Props = { steps: readonly StepAtBlock[]; at: number; onGo: (index: number) => void };

/** The steps of the break along a rail: what is done, what is in hand, what comes next. */
export function StepRail({ steps, at, onGo }: Props) {
  const next = steps.slice(at + 1, at + 3);
  return (
    <nav className={styles.rail} aria-label="Steps of the break">
      <ol>
        {steps.map(({ id, title, doneAt, doneBy, byLearner, mayDo }, index) => (
          <li key={id}>
            <button
              type="button"
              tabIndex={-1}
              data-done={doneAt !== ''}
              data-learner={byLearner || undefined}
              data-not-yet={!mayDo || undefined}
              aria-current={index === at ? 'step' : undefined}
              aria-label={`${index + 1}: ${title}${doneAt === '' ? '' : `, done ${doneBy} ${doneAt}${byLearner ? ', learning' : ''}`}`}
              onClick={() => onGo(index)}
            >
              {index === at ? index + 1 : ''}
            </button>
          </li>
        ))}
      </ol>
      {next.length > 0 && (
        <p className={styles.next}>
          then{' '}
          {next.map(({ id, title }, index) => (
            <span key={id}>
              <b>{at + 2 + index}</b> {title.charAt(0).toLowerCase() + title.slice(1)}
            </span>
          ))}
        </p>
      )}
    </nav>
  );
}
