import { failure } from '@/core/quantity/result';
import { ask } from '@/app/door';
import { isFromOurPages, statusOf } from '@/app/http';
import { USE_CASES, type UseCaseName } from '@/server/useCases';

/** A sheet with every zone in several forms is a few kilobytes; a quarter of a megabyte is a mistake. */
const LONGEST_BODY = 250_000;

/** Every use case answers here: `POST /api/act/weigh` with its input as JSON. */
export async function POST(
  request: Request,
  { params }: { params: Promise<{ name: string }> },
): Promise<Response> {
  const { name } = await params;
  const refuse = (reason: string, message: string, status: number) =>
    Response.json(failure(reason, message), { status });
  if (!Object.hasOwn(USE_CASES, name)) return refuse('not-found', `Nothing here is called ${name}.`, 404);
  if (!isFromOurPages(request)) return refuse('not-allowed', 'This request came from another site.', 403);
  if (!request.headers.get('content-type')?.startsWith('application/json')) {
    return refuse('invalid', 'Send JSON.', 415);
  }
  const body = await request.text();
  if (body.length > LONGEST_BODY) return refuse('invalid', 'That is too long.', 413);
  let raw: unknown;
  try {
    raw = JSON.parse(body);
  } catch {
    return refuse('invalid', 'That is not JSON: a bracket or a comma is missing.', 400);
  }
  const result = await ask(name as UseCaseName, raw);
  return Response.json(result, { status: result.ok ? 200 : statusOf(result) });
}
