import { ask } from '@/app/door';
import { statusOf } from '@/app/http';
import { pdf } from '@/app/pdf';
import { blockPaperOf } from '@/server/work';

/** The paper of a share for the block as a PDF; its bars open the share's ticket at this address. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ shareId: string }> },
): Promise<Response> {
  const { shareId } = await params;
  const result = await ask('blockSheetView', { shareId: shareId as never });
  if (!result.ok) return Response.json(result, { status: statusOf(result) });
  const address = new URL(`/ticket/${shareId}`, request.url).href;
  return pdf(await blockPaperOf({ sheet: result.value, address }), `block-${result.value.order}`);
}
