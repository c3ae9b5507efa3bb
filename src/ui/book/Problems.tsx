import type { Failure } from '@/core/quantity/result';
import styles from './BookScreen.module.css';

/** What is wrong, with the place in the call or the file; each sentence once. */
export function Problems({ failure }: { failure: Failure<string> | null }) {
  if (!failure) return null;
  const said = failure.problems ?? [{ field: failure.field ?? '', message: failure.message }];
  const once = said.filter(({ message }, at) => said.findIndex((each) => each.message === message) === at);
  return (
    <div role="alert" className={styles.problems}>
      <b>Nothing was booked. {said.length > 1 ? `${said.length} things to mend:` : ''}</b>
      <ul>
        {once.map(({ field, message }) => (
          <li key={`${field} ${message}`}>
            {field !== '' && <code>{placeOf(field)}</code>} {message}
          </li>
        ))}
      </ul>
    </div>
  );
}

/** `documents.1.animal.tag` is the tag of the second animal; where there is one animal it is said without. */
function placeOf(field: string): string {
  return field
    .replace(/^documents\.0\./, '')
    .replace(/^documents\.(\d+)\./, (_, at) => `animal ${Number(at) + 1}, `);
}
