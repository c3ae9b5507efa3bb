import { usualSurroundings } from '@/server/doorway';

export const dynamic = 'force-dynamic';

/** Whether the app can reach its data; for the demo script and for whoever watches the machine. */
export async function GET(): Promise<Response> {
  try {
    await usualSurroundings().db.raw('SELECT 1');
    return Response.json({ ok: true });
  } catch {
    return Response.json({ ok: false, reason: 'database' }, { status: 503 });
  }
}
