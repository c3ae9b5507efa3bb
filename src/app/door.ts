import { cookies } from 'next/headers';
import { notFound, redirect } from 'next/navigation';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import { success, type Result } from '@/core/quantity/result';
import { ANYBODY, type Staff } from '@/server/house/actor';
import { passDoorway } from '@/server/house/doorway';
import { refuse, type Reason } from '@/server/house/reasons';
import { usualSurroundings } from '@/server/house/surroundings';
import type { UseCase } from '@/server/house/useCase';
import { visitorOf, type Visitor } from '@/server/links';
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
  const asked = USE_CASES[name] as unknown as UseCase<InputOf<Name>, OutputOf<Name>>;
  return passDoorway(asked, raw, await currentActor());
}

/** Passes the doorway as anybody at all: open only to what everybody may see. */
export async function askAsAnybody<Name extends UseCaseName>(
  name: Name,
  raw: unknown,
): Promise<Result<OutputOf<Name>, Reason>> {
  const asked = USE_CASES[name] as unknown as UseCase<InputOf<Name>, OutputOf<Name>>;
  return passDoorway(asked, raw, ANYBODY);
}

/** Wrong links that one place may try in a while, before it rests: a guess has one chance in 2 to the 256. */
const WRONG_LINKS = new RateLimiterMemory({ points: 20, duration: 15 * 60 });

/** Who comes by a private link, or why nobody does: there is none like it, it has ended, or too many were tried. */
export async function visitorBy(token: string, address: string): Promise<Result<Visitor, Reason>> {
  const { db, now } = usualSurroundings();
  const tries = await WRONG_LINKS.get(address);
  if (tries !== null && tries.remainingPoints <= 0) {
    return refuse(
      'locked',
      'Too many links that hold no more were tried from here. Wait a quarter of an hour.',
    );
  }
  const visitor = await visitorOf(db, token, now);
  if (visitor) return success(visitor);
  await WRONG_LINKS.consume(address).catch(() => undefined);
  return refuse('not-found', 'This link holds no more. Ask the shop for a new one.');
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
