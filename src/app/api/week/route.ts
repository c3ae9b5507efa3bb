import { ask, currentActor } from '@/app/door';
import { readBody } from '@/app/http';
import { streamSearch } from '@/app/searching';
import { weekPlanned } from '@/server/work';

/** The weeks planned, as lines of JSON: each plan that was better on the way, at the end the best. */
export async function POST(request: Request): Promise<Response> {
  const body = (await currentActor()) ? await readBody(request) : { ok: true as const, value: undefined };
  if (!body.ok) return body.response;
  return streamSearch(request, await ask('weekJobView', body.value), weekPlanned);
}
