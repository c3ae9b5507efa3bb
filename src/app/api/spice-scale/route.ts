import { readingsOf } from '@/app/readings';
import { devices } from '@/server/house/devices';

export const dynamic = 'force-dynamic';

/** What the scale for seasoning says, as it says it. */
export function GET(request: Request): Promise<Response> {
  return readingsOf(devices().spiceScale, request);
}
