import { askAsVisitor, visitorBy } from '@/app/door';
import { fileResponse } from '@/app/fileResponse';
import { addressOf, statusOf } from '@/app/http';

type Params = { params: Promise<{ token: string }> };

/** The days of a household's meat by its private link: saved once, or subscribed to by its calendar. */
export async function GET(request: Request, { params }: Params): Promise<Response> {
  const visitor = await visitorBy((await params).token, addressOf(request));
  if (!visitor.ok) return Response.json(visitor, { status: statusOf(visitor) });
  const { shareId } = visitor.value.link;
  return fileResponse(await askAsVisitor(visitor.value, 'householdCalendarView', { shareId }));
}
