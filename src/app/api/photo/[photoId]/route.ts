import { ask } from '@/app/door';
import { statusOf } from '@/app/http';

type Params = { params: Promise<{ photoId: string }> };

/** A photograph of a finding. It never changes. */
export async function GET(_: Request, { params }: Params): Promise<Response> {
  const { photoId } = await params;
  const result = await ask('photoView', { photoId });
  if (!result.ok) return Response.json(result, { status: statusOf(result) });
  return new Response(new Uint8Array(result.value), {
    headers: { 'content-type': 'image/jpeg', 'cache-control': 'private, max-age=31536000, immutable' },
  });
}
