import Joi from 'joi';
import { cookies } from 'next/headers';
import { SESSION_COOKIE } from '@/app/door';
import { isFromOurPages, statusOf } from '@/app/http';
import { failure } from '@/core/quantity/result';
import { checkShape } from '@/core/shape/checkShape';
import { usualSurroundings } from '@/server/doorway';
import { signIn } from '@/server/signIn';

const credentials = Joi.object<{ name: string; secret: string }>({
  name: Joi.string().trim().max(60).required(),
  secret: Joi.string().max(200).required(),
});

/** Opens a session; the cookie cannot be read by scripts nor sent from other sites. */
export async function POST(request: Request): Promise<Response> {
  if (!isFromOurPages(request)) {
    return Response.json(failure('not-allowed', 'This request came from another site.'), { status: 403 });
  }
  const checked = checkShape(credentials, await request.json().catch(() => null));
  if (!checked.ok) return Response.json(checked, { status: statusOf(checked) });
  const { db, now } = usualSurroundings();
  const result = await signIn(db, checked.value, now);
  if (!result.ok) return Response.json(result, { status: statusOf(result) });
  (await cookies()).set(SESSION_COOKIE, result.value.token, {
    httpOnly: true,
    sameSite: 'strict',
    secure: request.headers.get('x-forwarded-proto') === 'https',
    path: '/',
    maxAge: result.value.seconds,
  });
  return Response.json({ ok: true, value: { role: result.value.actor.role } });
}
