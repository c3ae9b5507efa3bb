import { cookies } from 'next/headers';
import { notFound, redirect } from 'next/navigation';
import type { Result } from '@/core/quantity/result';
import { ANYBODY, type Staff } from '@/server/house/actor';
import { passDoorway } from '@/server/house/doorway';
import type { Reason } from '@/server/house/reasons';
import { usualSurroundings } from '@/server/house/surroundings';
import type { UseCase } from '@/server/house/useCase';
import { admitVisitor, type Visitor } from '@/server/links';
import { actorOf } from '@/server/people';
import { USE_CASES, type InputOf, type OutputOf, type UseCaseName } from '@/server/useCases';

export const SESSION_COOKIE = 'fractum-session';

/** Who sends this request; undefined when nobody is signed in. */
export async function currentActor(): Promise<Staff | undefined> {
  const token = (await cookies()).get(SESSION_COOKIE)?.value;
  const { db, now } = usualSurroundings();
  return actorOf(db, token, now);
}

/** Passes the doorway by name with whatever came in. */
export async function ask<Name extends UseCaseName>(
  name: Name,
  raw: unknown,
): Promise<Result<OutputOf<Name>, Reason>> {
  return askAs(await currentActor(), name, raw);
}

/** Passes the doorway as somebody who is known already: what is sent piece by piece outlives its request. */
export async function askAs<Name extends UseCaseName>(
  actor: Staff | undefined,
  name: Name,
  raw: unknown,
): Promise<Result<OutputOf<Name>, Reason>> {
  const asked = USE_CASES[name] as unknown as UseCase<InputOf<Name>, OutputOf<Name>>;
  return passDoorway(asked, raw, actor);
}

/** Passes the doorway as anybody at all: open only to what everybody may see. */
export async function askAsAnybody<Name extends UseCaseName>(
  name: Name,
  raw: unknown,
): Promise<Result<OutputOf<Name>, Reason>> {
  const asked = USE_CASES[name] as unknown as UseCase<InputOf<Name>, OutputOf<Name>>;
  return passDoorway(asked, raw, ANYBODY);
}

/** Who comes by a private link, or why nobody does. */
export async function visitorBy(token: string, address: string): Promise<Result<Visitor, Reason>> {
  const { db, now } = usualSurroundings();
  return admitVisitor(db, { token, address }, now);
}

/** Passes the doorway as whoever comes by a link. */
export async function askAsVisitor<Name extends UseCaseName>(
  { actor }: Visitor,
  name: Name,
  raw: unknown,
): Promise<Result<OutputOf<Name>, Reason>> {
  const asked = USE_CASES[name] as unknown as UseCase<InputOf<Name>, OutputOf<Name>>;
  return passDoorway(asked, raw, actor);
}

/** What a page shows: the answer, or the sign-in page, or one's own first page, or the page for what is not there. */
export async function askForPage<Name extends UseCaseName>(
  name: Name,
  raw: unknown,
): Promise<OutputOf<Name>> {
  const result = await ask(name, raw);
  if (result.ok) return result.value;
  if (result.reason === 'not-signed-in') redirect('/sign-in');
  if (result.reason === 'not-allowed') redirect('/');
  if (result.reason === 'not-found' || result.reason === 'invalid') notFound();
  throw new Error(result.message);
}
