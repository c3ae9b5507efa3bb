import { Signal } from './signal';

/** Who is waited for: asked for by whatever was refused, answered by the sign-in that lies over the page. */
type Waiting = { readonly done: Promise<boolean>; readonly answer: (signedIn: boolean) => void };

/** What waits for somebody to sign in again; null while the session holds. */
export const endedSession = new Signal<Waiting | null>(null);

/**
 * Says that the session has ended, once however many ask, and waits until the same person has signed in again.
 *
 * @returns false when they did not: what was asked stays refused
 */
export function signInAgain(): Promise<boolean> {
  const known = endedSession.get();
  if (known) return known.done;
  let answer: Waiting['answer'] = () => undefined;
  const done = new Promise<boolean>((resolve) => {
    answer = (signedIn) => {
      endedSession.set(null);
      resolve(signedIn);
    };
  });
  endedSession.set({ done, answer });
  return done;
}
