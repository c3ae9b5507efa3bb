import { ask } from '@/app/door';
import { statusOf } from '@/app/http';

const TYPES = { csv: 'text/csv; charset=utf-8', json: 'application/json' } as const;

/** A price list as a file for a spreadsheet, or as it is published. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ listId: string }> },
): Promise<Response> {
  const { listId } = await params;
  const as = new URL(request.url).searchParams.get('as') === 'csv' ? 'csv' : 'json';
  const result = await ask('priceFileView', { listId, as });
  if (!result.ok) return Response.json(result, { status: statusOf(result) });
  const { name, text } = result.value;
  return new Response(text, {
    headers: { 'content-type': TYPES[as], 'content-disposition': `attachment; filename="${name}"` },
  });
}
