import { askAsVisitor, visitorBy } from '@/app/door';
import { addressOf, statusOf } from '@/app/http';

type Params = { params: Promise<{ token: string; version: string }> };

/** The species of a share's sheet (`?share=ID`); of one version, so that a telephone fetches it once. */
export async function GET(request: Request, { params }: Params): Promise<Response> {
  const { token } = await params;
  const visitor = await visitorBy(token, addressOf(request));
  if (!visitor.ok) return Response.json(visitor, { status: statusOf(visitor) });
  const shareId = new URL(request.url).searchParams.get('share');
  const result = await askAsVisitor(visitor.value, 'householdSpeciesView', { shareId });
  if (!result.ok) return Response.json(result, { status: statusOf(result) });
  return Response.json(result.value, { headers: { 'cache-control': 'private, max-age=2592000, immutable' } });
}
