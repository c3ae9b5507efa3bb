import styles from './Mine.module.css';

/** A link that opens nothing: said kindly, and what to do. */
export function LinkHoldsNoMore({ words }: { words: string }) {
  return (
    <main className={styles.page}>
      <div className={styles.body}>
        <h1>This page is closed.</h1>
        <p>{words}</p>
      </div>
    </main>
  );
}
