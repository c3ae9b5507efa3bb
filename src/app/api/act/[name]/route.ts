import { ask, currentActor } from '@/app/door';
import { readBody, statusOf } from '@/app/http';
import { refuse } from '@/server/house/reasons';
import { USE_CASES, type UseCaseName } from '@/server/useCases';

/** Every use case answers here: `POST /api/act/weigh` with its input as JSON. */
export async function POST(
  request: Request,
  { params }: { params: Promise<{ name: string }> },
): Promise<Response> {
  const { name } = await params;
  if (!Object.hasOwn(USE_CASES, name)) {
    return Response.json(refuse('not-found', `Nothing here is called ${name}.`), { status: 404 });
  }
  // Nobody's body is read: a stranger cannot fill the memory.
  const body = (await currentActor()) ? await readBody(request) : { ok: true as const, value: undefined };
  if (!body.ok) return body.response;
  const result = await ask(name as UseCaseName, body.value);
  return Response.json(result, {
    status: result.ok ? 200 : statusOf(result),
    headers: { 'cache-control': 'no-store' },
  });
}
