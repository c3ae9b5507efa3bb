import { askAsVisitor, visitorBy } from '@/app/door';
import { addressOf, readBody, statusOf } from '@/app/http';
import { answerSearch } from '@/app/searching';
import { dividedOver } from '@/server/work';

type Params = { params: Promise<{ token: string }> };

/** What sells, divided over the own animals by a farmer's private link. */
export async function POST(request: Request, { params }: Params): Promise<Response> {
  const visitor = await visitorBy((await params).token, addressOf(request));
  if (!visitor.ok) return Response.json(visitor, { status: statusOf(visitor) });
  const body = await readBody(request);
  if (!body.ok) return body.response;
  return answerSearch(request, await askAsVisitor(visitor.value, 'wantedView', body.value), dividedOver);
}
