import { cookies } from 'next/headers';
import { usualSurroundings } from '@/server/house/surroundings';
import { actorOf } from '@/server/people';
import { SESSION_COOKIE } from './door';

/** How often an open stream asks whether its session still holds, and says that it is there. */
const SESSION_CHECK_MS = 5000;

type Send = (text: string) => void;

async function stillSignedIn(token: string | undefined): Promise<boolean> {
  const { db, now } = usualSurroundings();
  return (await actorOf(db, token, now)) !== undefined;
}

/**
 * Server-sent events for as long as the request stands and its session holds: whoever signs out hears no more.
 *
 * @param follow - sends until `watching` is aborted, or until there is nothing more to follow
 */
export async function streamTo(
  request: Request,
  follow: (send: Send, watching: AbortSignal) => Promise<void>,
): Promise<Response> {
  const token = (await cookies()).get(SESSION_COOKIE)?.value;
  const encoder = new TextEncoder();
  const stream = new ReadableStream<Uint8Array>({
    async start(controller) {
      let ended = false;
      const send: Send = (text) => {
        if (!ended && !request.signal.aborted) controller.enqueue(encoder.encode(text));
      };
      const watching = new AbortController();
      request.signal.addEventListener('abort', () => watching.abort());
      send(': here\n\n');
      const check = setInterval(async () => {
        if (await stillSignedIn(token)) send(': here\n\n');
        else watching.abort();
      }, SESSION_CHECK_MS);
      await follow(send, watching.signal);
      clearInterval(check);
      send('event: away\ndata: {}\n\n');
      ended = true;
      if (!request.signal.aborted) controller.close();
    },
  });
  return new Response(stream, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store', 'x-accel-buffering': 'no' },
  });
}
