import { ask, currentActor } from '@/app/door';
import { readBody } from '@/app/http';
import { streamSearch } from '@/app/searching';
import { sheetsFor } from '@/server/work';

/** Sheets for wishes, as lines of JSON: how many were tried, at the end what was found. */
export async function POST(request: Request): Promise<Response> {
  const body = (await currentActor()) ? await readBody(request) : { ok: true as const, value: undefined };
  if (!body.ok) return body.response;
  return streamSearch(request, await ask('wishesView', body.value), sheetsFor);
}
