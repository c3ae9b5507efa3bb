import styles from './PricesScreen.module.css';

type Props<Id> = {
  /** The newest first. */
  steps: readonly {
    readonly id: Id;
    /** When, as it is read. */
    readonly at: string;
    readonly words: string;
    readonly who: string;
    readonly takenBack: boolean;
  }[];
  busy: boolean;
  onBack: (id: Id) => void;
};

/** Steps that were taken, each with its name and its way back. */
export function Steps<Id extends string | number>({ steps, busy, onBack }: Props<Id>) {
  return (
    <ol>
      {steps.map((step) => (
        <li key={step.id} className={step.takenBack ? styles.takenBack : undefined}>
          <span className="quiet">{step.at}</span> <b>{step.words}</b>
          <br />
          {step.who}{' '}
          {step.takenBack ? (
            'taken back'
          ) : (
            <button type="button" className="link" disabled={busy} onClick={() => onBack(step.id)}>
              back
            </button>
          )}
        </li>
      ))}
    </ol>
  );
}
