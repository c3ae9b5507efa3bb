import type { Failure } from '@/core/quantity/result';
import { isUnanswered } from '../kit/act';
import styles from './BookScreen.module.css';

/** What is wrong, with the place in the call or the file; each sentence once. */
export function Problems({ failure }: { failure: Failure<string> | null }) {
  if (!failure) return null;
  const said = failure.problems ?? [{ field: failure.field ?? '', message: failure.message }];
  const once = said.filter(({ message }, at) => said.findIndex((each) => each.message === message) === at);
  return (
    <div role="alert" className={styles.problems}>
      {!isUnanswered(failure.reason) && (
        <b>Nothing was booked. {said.length > 1 ? `${said.length} things to mend:` : ''}</b>
      )}
      <ul>
        {once.map(({ field, message }) => (
          <li key={`${field} ${message}`}>
            {field !== '' && <b>{placeOf(field)}:</b>} {message}
          </li>
        ))}
      </ul>
    </div>
  );
}

/** `documents.1.shares.0.deposit` is the deposit of the first household of the second animal. */
function placeOf(field: string): string {
  return field
    .replace(/^documents\.0\./, '')
    .replace(/^documents\.(\d+)\./, (_, at) => `animal ${Number(at) + 1}, `)
    .replace(/shares\.(\d+)\./, (_, at) => `household ${Number(at) + 1}, `)
    .replaceAll('.', ' ');
}
