import { ask } from '@/app/door';
import { statusOf } from '@/app/http';
import { pdf } from '@/app/pdf';
import { loadPaperOf } from '@/server/work';

type Context = { params: Promise<{ loadId: string }> };

/** A load of the smokehouse for the file, with its curve. */
export async function GET(_request: Request, { params }: Context): Promise<Response> {
  const { loadId } = await params;
  const paper = await ask('loadPaperView', { loadId });
  if (!paper.ok) return Response.json(paper, { status: statusOf(paper) });
  return pdf(await loadPaperOf(paper.value), `load-${paper.value.lot}`);
}
