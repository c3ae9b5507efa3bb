import { askAsAnybody } from '@/app/door';
import { addressOf, readBody, statusOf } from '@/app/http';
import { refuse } from '@/server/house/reasons';
import { admitAnybody } from '@/server/links';
import { USE_CASES, type UseCaseName } from '@/server/useCases';

type Params = { params: Promise<{ name: string }> };

/** What anybody at all may ask: the few use cases that are open to them. What is kept for them is counted by place. */
export async function POST(request: Request, { params }: Params): Promise<Response> {
  const { name } = await params;
  if (!Object.hasOwn(USE_CASES, name)) {
    return Response.json(refuse('not-found', `Nothing here is called ${name}.`), { status: 404 });
  }
  const body = await readBody(request);
  if (!body.ok) return body.response;
  if (USE_CASES[name as UseCaseName].writes) {
    const admitted = await admitAnybody(addressOf(request));
    if (!admitted.ok) return Response.json(admitted, { status: statusOf(admitted) });
  }
  const result = await askAsAnybody(name as UseCaseName, body.value);
  return Response.json(result, {
    status: result.ok ? 200 : statusOf(result),
    headers: { 'cache-control': 'no-store' },
  });
}
