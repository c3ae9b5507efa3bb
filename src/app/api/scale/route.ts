import { ask } from '@/app/door';
import { statusOf } from '@/app/http';
import { log } from '@/server/log';

export const dynamic = 'force-dynamic';

/** The scale's readings as server-sent events. `event: away` says that the scale does not answer. */
export async function GET(request: Request): Promise<Response> {
  const asked = await ask('scaleView', {});
  if (!asked.ok) return Response.json(asked, { status: statusOf(asked) });
  const scale = asked.value;
  const encoder = new TextEncoder();
  const stream = new ReadableStream<Uint8Array>({
    async start(controller) {
      const send = (text: string) => {
        if (!request.signal.aborted) controller.enqueue(encoder.encode(text));
      };
      try {
        await scale.watch((reading) => send(`data: ${JSON.stringify(reading)}\n\n`), request.signal);
      } catch (error) {
        if (!request.signal.aborted) log().warn({ error }, 'the scale does not answer');
      }
      send('event: away\ndata: {}\n\n');
      if (!request.signal.aborted) controller.close();
    },
  });
  return new Response(stream, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store', 'x-accel-buffering': 'no' },
  });
}
