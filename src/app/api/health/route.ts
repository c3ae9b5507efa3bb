import { healthOf } from '@/server/work';

export const dynamic = 'force-dynamic';

/** Whether the shop can work: schema, disk, writer; for the start script and for whoever watches the machine. */
export async function GET(): Promise<Response> {
  const health = await healthOf();
  return Response.json(health, { status: health.ok ? 200 : 503, headers: { 'cache-control': 'no-store' } });
}
