import { ask } from '@/app/door';
import { statusOf } from '@/app/http';
import { drawLabel } from '@/papers/label';

type Params = { params: Promise<{ weighingId: string }> };

/** A label, drawn from what is kept with its package; `?copy=2` for a later one. */
export async function GET(request: Request, { params }: Params): Promise<Response> {
  const { weighingId } = await params;
  const copy = new URL(request.url).searchParams.get('copy') ?? '1';
  const result = await ask('labelView', { weighingId, copy });
  if (!result.ok) return new Response(result.message, { status: statusOf(result) });
  return new Response(drawLabel(result.value), {
    headers: { 'content-type': 'image/svg+xml', 'cache-control': 'no-store' },
  });
}
