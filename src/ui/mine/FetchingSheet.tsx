import { Coming, Failed } from '../kit/States';
import styles from './Mine.module.css';

/** Until the species of a sheet has come, or when it does not. */
export function FetchingSheet({ failed }: { failed: boolean }) {
  return (
    <main className={styles.page}>
      <div className={styles.body}>
        {failed ? (
          <Failed
            words="Your sheet could not be fetched. What you chose before is safe."
            onAgain={() => window.location.reload()}
          />
        ) : (
          <Coming words="Fetching your sheet" rows={8} />
        )}
      </div>
    </main>
  );
}
