import { ask, currentActor } from '@/app/door';
import { readBody, statusOf } from '@/app/http';
import { sheetsFor } from '@/server/work';

/** As proxies note it when whoever asked went away. */
const GONE_AWAY = 499;

/** Sheets for wishes; the search ends when whoever asked goes away. */
export async function POST(request: Request): Promise<Response> {
  const body = (await currentActor()) ? await readBody(request) : { ok: true as const, value: undefined };
  if (!body.ok) return body.response;
  const job = await ask('wishesView', body.value);
  if (!job.ok) return Response.json(job, { status: statusOf(job) });
  try {
    const found = await sheetsFor(job.value, request.signal);
    return Response.json({ ok: true, value: found }, { headers: { 'cache-control': 'no-store' } });
  } catch (error) {
    // Nobody reads this answer.
    if (request.signal.aborted) return new Response(null, { status: GONE_AWAY });
    throw error;
  }
}
