import type { Failure } from '@/core/quantity/result';

const STATUS: Readonly<Record<string, number>> = {
  'not-signed-in': 401,
  'not-allowed': 403,
  wrong: 401,
  locked: 429,
  invalid: 400,
  'not-found': 404,
  unexpected: 500,
};

/** The status of a refusal; anything the trade refuses is 409: the request was understood and conflicts. */
export function statusOf(failure: Failure): number {
  return STATUS[failure.reason] ?? 409;
}

/** Whether a request that changes something was sent by our own pages. */
export function isFromOurPages(request: Request): boolean {
  const origin = request.headers.get('origin');
  if (origin === null) return true;
  return URL.canParse(origin) && new URL(origin).host === request.headers.get('host');
}
