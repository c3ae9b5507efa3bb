import { ask } from '@/app/door';
import { statusOf } from '@/app/http';

/** A printed label, to be looked at. */
export async function GET(_: Request, { params }: { params: Promise<{ file: string }> }): Promise<Response> {
  const { file } = await params;
  const result = await ask('labelView', { file });
  if (!result.ok) return new Response(result.message, { status: statusOf(result) });
  return new Response(result.value, { headers: { 'content-type': 'image/svg+xml' } });
}
