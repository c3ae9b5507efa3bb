import { readingsOf } from '@/app/readings';
import { devices } from '@/server/house/devices';

export const dynamic = 'force-dynamic';

/** What the rail scale says, as it says it. */
export function GET(request: Request): Promise<Response> {
  return readingsOf(devices().railScale, request);
}
