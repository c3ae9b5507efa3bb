import { failure, type Result } from '@/core/quantity/result';

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

/** Ends the session and leaves nothing of it in the page. */
export async function signOut(): Promise<void> {
  await fetch('/api/sign-out', { method: 'POST' });
  window.location.assign('/sign-in');
}
