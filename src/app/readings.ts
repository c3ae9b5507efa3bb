import { ask } from '@/app/door';
import { statusOf } from '@/app/http';
import { streamTo } from '@/app/stream';
import type { Devices } from '@/server/house/devices';
import { log } from '@/server/house/log';

/** A scale's readings as server-sent events. `event: away` says that the scale does not answer. */
export async function readingsOf(scale: Devices['scale'], request: Request): Promise<Response> {
  const asked = await ask('scaleView', {});
  if (!asked.ok) return Response.json(asked, { status: statusOf(asked) });
  return streamTo(request, async (send, watching) => {
    try {
      await scale.watch((reading) => send(`data: ${JSON.stringify(reading)}\n\n`), watching);
    } catch (error) {
      if (!watching.aborted) log().warn({ error }, 'the scale does not answer');
    }
  });
}
