import type { Result } from '@/core/quantity/result';
import type { Reason } from '@/server/house/reasons';
import { statusOf } from './http';

/** As proxies note it when whoever asked went away. */
const GONE_AWAY = 499;

/** Answers with what a search found; it ends when whoever asked goes away. */
export async function answerSearch<Job>(
  request: Request,
  job: Result<Job, Reason>,
  search: (job: Job, signal: AbortSignal) => Promise<unknown>,
): Promise<Response> {
  if (!job.ok) return Response.json(job, { status: statusOf(job) });
  try {
    const value = await search(job.value, request.signal);
    return Response.json({ ok: true, value }, { headers: { 'cache-control': 'no-store' } });
  } catch (error) {
    // Nobody reads this answer.
    if (request.signal.aborted) return new Response(null, { status: GONE_AWAY });
    throw error;
  }
}
