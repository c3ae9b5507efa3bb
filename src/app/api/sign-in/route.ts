import { cookies } from 'next/headers';
import { SESSION_COOKIE } from '@/app/door';
import { credentials } from '@/app/credentials';
import { addressOf, isSecure, readBody, statusOf } from '@/app/http';
import { checkShape } from '@/core/shape/checkShape';
import { usualSurroundings } from '@/server/house/surroundings';
import { signIn } from '@/server/people';

/** Opens a session; the cookie cannot be read by scripts nor sent from other sites. */
export async function POST(request: Request): Promise<Response> {
  const body = await readBody(request);
  if (!body.ok) return body.response;
  const checked = checkShape(credentials, body.value);
  if (!checked.ok) return Response.json(checked, { status: statusOf(checked) });
  const { db, now } = usualSurroundings();
  const result = await signIn(db, { ...checked.value, address: addressOf(request) }, now);
  if (!result.ok) return Response.json(result, { status: statusOf(result) });
  (await cookies()).set(SESSION_COOKIE, result.value.token, {
    httpOnly: true,
    sameSite: 'strict',
    secure: isSecure(request),
    path: '/',
    maxAge: result.value.seconds,
  });
  return Response.json({ ok: true, value: { role: result.value.actor.role } });
}
