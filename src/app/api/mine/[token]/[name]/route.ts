import { askAsVisitor, visitorBy } from '@/app/door';
import { addressOf, readBody, statusOf } from '@/app/http';
import { refuse } from '@/server/house/reasons';
import { USE_CASES, type UseCaseName } from '@/server/useCases';

type Params = { params: Promise<{ token: string; name: string }> };

/** What a household asks by its private link: the same use cases, for its own share alone. */
export async function POST(request: Request, { params }: Params): Promise<Response> {
  const { token, name } = await params;
  const visitor = await visitorBy(token, addressOf(request));
  if (!visitor.ok) return Response.json(visitor, { status: statusOf(visitor) });
  if (!Object.hasOwn(USE_CASES, name)) {
    return Response.json(refuse('not-found', `Nothing here is called ${name}.`), { status: 404 });
  }
  const body = await readBody(request);
  if (!body.ok) return body.response;
  const result = await askAsVisitor(visitor.value, name as UseCaseName, body.value);
  return Response.json(result, {
    status: result.ok ? 200 : statusOf(result),
    headers: { 'cache-control': 'no-store' },
  });
}
