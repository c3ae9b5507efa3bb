import { cookies } from 'next/headers';
import { ask, SESSION_COOKIE } from '@/app/door';
import { statusOf } from '@/app/http';
import { devices } from '@/server/house/devices';
import { log } from '@/server/house/log';
import { usualSurroundings } from '@/server/house/surroundings';
import { actorOf } from '@/server/people';

/** How often an open stream asks whether its session still holds. */
const SESSION_CHECK_MS = 5000;

async function stillSignedIn(token: string | undefined): Promise<boolean> {
  const { db, now } = usualSurroundings();
  return (await actorOf(db, token, now)) !== undefined;
}

export const dynamic = 'force-dynamic';

/** The scale's readings as server-sent events. `event: away` says that the scale does not answer. */
export async function GET(request: Request): Promise<Response> {
  const asked = await ask('scaleView', {});
  if (!asked.ok) return Response.json(asked, { status: statusOf(asked) });
  const { scale } = devices();
  const token = (await cookies()).get(SESSION_COOKIE)?.value;
  const encoder = new TextEncoder();
  const stream = new ReadableStream<Uint8Array>({
    async start(controller) {
      const send = (text: string) => {
        if (!request.signal.aborted) controller.enqueue(encoder.encode(text));
      };
      // Whoever signs out, or whose session is ended, sees no more weights.
      const watching = new AbortController();
      request.signal.addEventListener('abort', () => watching.abort());
      const signedIn = setInterval(async () => {
        if (!(await stillSignedIn(token))) watching.abort();
      }, SESSION_CHECK_MS);
      try {
        await scale.watch((reading) => send(`data: ${JSON.stringify(reading)}\n\n`), watching.signal);
      } catch (error) {
        if (!request.signal.aborted) log().warn({ error }, 'the scale does not answer');
      }
      clearInterval(signedIn);
      send('event: away\ndata: {}\n\n');
      if (!request.signal.aborted) controller.close();
    },
  });
  return new Response(stream, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store', 'x-accel-buffering': 'no' },
  });
}
