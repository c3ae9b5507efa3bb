import { ask, currentActor } from '@/app/door';
import { readBody } from '@/app/http';
import { answerSearch } from '@/app/searching';
import { sheetsFor } from '@/server/work';

/** Sheets for wishes. */
export async function POST(request: Request): Promise<Response> {
  const body = (await currentActor()) ? await readBody(request) : { ok: true as const, value: undefined };
  if (!body.ok) return body.response;
  return answerSearch(request, await ask('wishesView', body.value), sheetsFor);
}
