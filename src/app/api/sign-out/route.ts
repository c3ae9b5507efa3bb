import { cookies } from 'next/headers';
import { SESSION_COOKIE } from '@/app/door';
import { isFromOurPages } from '@/app/http';
import { usualSurroundings } from '@/server/house/surroundings';
import { signOut } from '@/server/people';

/** Ends the session on the server as well as in the browser. */
export async function POST(request: Request): Promise<Response> {
  const jar = await cookies();
  const token = jar.get(SESSION_COOKIE)?.value;
  if (!isFromOurPages(request)) return new Response(null, { status: 403 });
  if (token) await signOut(usualSurroundings().db, token);
  jar.delete(SESSION_COOKIE);
  return Response.json({ ok: true, value: true });
}
