import type { Result } from '@/core/quantity/result';
import type { Reason } from '@/server/house/reasons';
import { statusOf } from './http';

/** As proxies note it when whoever asked went away. */
const GONE_AWAY = 499;

const FRESH = { 'cache-control': 'no-store' };

/** Answers with what a search found; it ends when whoever asked goes away. */
export async function answerSearch<Job>(
  request: Request,
  job: Result<Job, Reason>,
  search: (job: Job, signal: AbortSignal) => Promise<unknown>,
): Promise<Response> {
  if (!job.ok) return Response.json(job, { status: statusOf(job) });
  try {
    const value = await search(job.value, request.signal);
    return Response.json({ ok: true, value }, { headers: FRESH });
  } catch (error) {
    // Nobody reads this answer.
    if (request.signal.aborted) return new Response(null, { status: GONE_AWAY });
    throw error;
  }
}

/** Milliseconds after which a search that has nothing new to say shows that it goes on: a thread takes long to warm up. */
const GOES_ON_MS = 4000;

type Told<Job, News> = (job: Job, signal: AbortSignal, onNews: (news: News) => void) => Promise<unknown>;

/** The same as lines of JSON, each with what it has so far, the last with the answer; broken off where the search broke. */
export function streamSearch<Job, News>(
  request: Request,
  job: Result<Job, Reason>,
  search: Told<Job, News>,
): Response {
  if (!job.ok) return Response.json(job, { status: statusOf(job) });
  const gone = new AbortController();
  const signal = AbortSignal.any([request.signal, gone.signal]);
  const lines = new ReadableStream<Uint8Array>({
    start: async (stream) => {
      const send = (line: object) => stream.enqueue(new TextEncoder().encode(`${JSON.stringify(line)}\n`));
      let known: News | undefined;
      const goesOn = setInterval(() => !signal.aborted && send({ sofar: known ?? null }), GOES_ON_MS);
      try {
        const value = await search(job.value, signal, (news) => send({ sofar: (known = news) }));
        send({ ok: true, value });
        stream.close();
      } catch (error) {
        stream.error(error);
      } finally {
        clearInterval(goesOn);
      }
    },
    cancel: () => gone.abort(),
  });
  return new Response(lines, { headers: { ...FRESH, 'content-type': 'application/x-ndjson' } });
}
