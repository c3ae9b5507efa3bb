import { ask } from '@/app/door';
import { statusOf } from '@/app/http';
import { streamTo } from '@/app/stream';
import { usualSurroundings } from '@/server/house/surroundings';

export const dynamic = 'force-dynamic';

/** What is done in the house, as it is done: which use case, and the shares that stand differently since. */
export async function GET(request: Request): Promise<Response> {
  const asked = await ask('eventsView', {});
  if (!asked.ok) return Response.json(asked, { status: statusOf(asked) });
  const { events } = usualSurroundings();
  return streamTo(request, (send, watching) => {
    const unsubscribe = events.subscribe((event) => send(`data: ${JSON.stringify(event)}\n\n`));
    return new Promise((resolve) =>
      watching.addEventListener('abort', () => {
        unsubscribe();
        resolve();
      }),
    );
  });
}
