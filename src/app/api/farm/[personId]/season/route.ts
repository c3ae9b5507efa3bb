import { ask } from '@/app/door';
import { seasonPapers } from '@/app/seasonPapers';

/** A farm's season for the desk, as a PDF or a table. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ personId: string }> },
): Promise<Response> {
  const { personId } = await params;
  return seasonPapers(request, (name, year) => ask(name, { personId, ...year }));
}
