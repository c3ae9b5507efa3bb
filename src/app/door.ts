import { cookies } from 'next/headers';
import { notFound, redirect } from 'next/navigation';
import type { Result } from '@/core/quantity/result';
import { passDoorway, usualSurroundings, type Actor } from '@/server/doorway';
import { actorOf } from '@/server/signIn';
import { USE_CASES, type InputOf, type OutputOf, type UseCaseName } from '@/server/useCases';
import type { UseCase } from '@/server/doorway';

export const SESSION_COOKIE = 'fractum-session';

/** Who sends this request; undefined when nobody is signed in. */
export async function currentActor(): Promise<Actor | undefined> {
  const token = (await cookies()).get(SESSION_COOKIE)?.value;
  const { db, now } = usualSurroundings();
  return actorOf(db, token, now);
}

/** Passes the doorway by name with whatever came in. */
export async function ask<Name extends UseCaseName>(
  name: Name,
  raw: unknown,
): Promise<Result<OutputOf<Name>>> {
  const asked = USE_CASES[name] as unknown as UseCase<InputOf<Name>, OutputOf<Name>>;
  return passDoorway(asked, raw, await currentActor());
}

/** What a page shows: the answer, or the sign-in page, or the page for what is not there. */
export async function askForPage<Name extends UseCaseName>(
  name: Name,
  input: InputOf<Name>,
): Promise<OutputOf<Name>> {
  const result = await ask(name, input);
  if (result.ok) return result.value;
  if (result.reason === 'not-signed-in') redirect('/sign-in');
  if (result.reason === 'not-found' || result.reason === 'invalid') notFound();
  throw new Error(result.message);
}
