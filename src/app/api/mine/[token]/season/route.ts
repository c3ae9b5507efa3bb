import { askAsVisitor, visitorBy } from '@/app/door';
import { addressOf, statusOf } from '@/app/http';
import { seasonPapers } from '@/app/seasonPapers';

/** A farm's season by the farmer's private link, as a PDF or a table. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ token: string }> },
): Promise<Response> {
  const visitor = await visitorBy((await params).token, addressOf(request));
  if (!visitor.ok) return Response.json(visitor, { status: statusOf(visitor) });
  const { value } = visitor;
  return seasonPapers(request, (name, year) =>
    askAsVisitor(value, name, { personId: value.link.farmId, ...year }),
  );
}
