import { REASONS, type Refusal } from '@/server/house/reasons';

/** The status of a refusal; what the trade refuses is 409: the request was understood and conflicts. */
export function statusOf(refusal: Refusal): number {
  return REASONS[refusal.reason];
}

/** Whether a request that changes something was sent by our own pages. */
export function isFromOurPages(request: Request): boolean {
  const origin = request.headers.get('origin');
  if (origin === null) return request.headers.get('sec-fetch-site') !== 'cross-site';
  return URL.canParse(origin) && new URL(origin).host === request.headers.get('host');
}

/** Where a request comes from: what the outermost server wrote down, which no client can change. */
export function addressOf(request: Request): string {
  return request.headers.get('x-fractum-address') ?? 'unknown';
}

/** Whether the connection to the browser is a safe one. */
export function isSecure(request: Request): boolean {
  return request.headers.get('x-forwarded-proto') === 'https';
}

export type Body =
  { readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly response: Response };

/** A whole species as a file is a third of this; anything longer is a mistake. */
const LONGEST_BODY = 1_000_000;

function refused(reason: Refusal['reason'], message: string, status: number): Body {
  return { ok: false, response: Response.json({ ok: false, reason, message }, { status }) };
}

/**
 * Reads the JSON of a request that changes something: from our own pages, said to be JSON, and not longer than anything
 * that is asked here. Its length is looked at before it is read.
 */
export async function readBody(request: Request): Promise<Body> {
  if (!isFromOurPages(request)) return refused('not-allowed', 'This request came from another site.', 403);
  if (!request.headers.get('content-type')?.startsWith('application/json')) {
    return refused('invalid', 'Send JSON.', 415);
  }
  const tooLong = refused('invalid', 'That is too long.', 413);
  if (Number(request.headers.get('content-length') ?? 0) > LONGEST_BODY) return tooLong;
  const text = await request.text();
  if (text.length > LONGEST_BODY) return tooLong;
  try {
    return { ok: true, value: JSON.parse(text) };
  } catch {
    return refused('invalid', 'That is not JSON: a bracket or a comma is missing.', 400);
  }
}
