import { failure, type Failure, type Result } from '@/core/quantity/result';
import { forgetSeen } from '../offline/keptViews';

/** Opens a session; the cookie comes with the answer. */
export async function signIn(name: string, secret: string): Promise<Result<unknown>> {
  try {
    const response = await fetch('/api/sign-in', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ name, secret }),
    });
    return (await response.json()) as Result<unknown>;
  } catch {
    return failure('offline', 'The network is away. Try again when it is back.');
  }
}

/** Ends the session and leaves nothing of it in the page; without the network it goes on, and the failure says so. */
export async function signOut(): Promise<Failure<'offline'> | undefined> {
  try {
    await fetch('/api/sign-out', { method: 'POST' });
  } catch {
    return failure('offline', 'The network is away, and you are still signed in. Try again when it is back.');
  }
  await forgetSeen();
  window.location.assign('/sign-in');
  return undefined;
}
