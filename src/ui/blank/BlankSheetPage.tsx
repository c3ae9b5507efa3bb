import type { BlankSheet } from '@/core/order/blankSheet';
import styles from './BlankSheetPage.module.css';

/** All that can be asked for of a species, in plain words, with what it costs; ours where nothing is said is marked. */
export function BlankSheetPage({ id, blank }: { id: string; blank: BlankSheet }) {
  return (
    <main className={styles.page}>
      <h1>
        {blank.shopName}: how do you want your {blank.species.toLowerCase()} cut?
      </h1>
      <p>
        Look through it before you ring us, <a href={`/try/${id}`}>try it on a usual one</a> and see what
        comes home, or <a href={`/api/blank/${id}`}>print it as a paper</a> and fill it in. Prices:{' '}
        {blank.prices}.
      </p>
      {blank.decisions.map(({ title, reason, answers }) => (
        <section key={title}>
          <h2>{title}</h2>
          <ul>
            {answers.map(({ label, note, cost, house }) => (
              <li key={label} data-house={house || undefined}>
                <b>{label}</b>
                {house && (
                  <em> ours where you say nothing: {reason.charAt(0).toLowerCase() + reason.slice(1)}</em>
                )}
                {note && <span> {note}</span>}
                {cost && <span className="quiet"> {cost}</span>}
              </li>
            ))}
          </ul>
        </section>
      ))}
      <section>
        <h2>Ground and sausage</h2>
        <ul>
          {blank.kinds.map(({ name, made, contains }) => (
            <li key={name}>
              <b>{name}</b> {made}
              {contains && <span className="quiet"> contains {contains}</span>}
            </li>
          ))}
        </ul>
      </section>
      <section>
        <h2>What it costs besides</h2>
        <ul>
          {blank.charges.map((charge) => (
            <li key={charge}>{charge}</li>
          ))}
        </ul>
      </section>
      {blank.cautions.map((caution) => (
        <p key={caution} className="quiet">
          {caution}
        </p>
      ))}
    </main>
  );
}
