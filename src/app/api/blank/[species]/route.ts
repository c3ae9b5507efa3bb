import { askAsAnybody } from '@/app/door';
import { statusOf } from '@/app/http';
import { pdf } from '@/app/pdf';
import { blankSheetOf } from '@/server/work';

/** The blank sheet of a species on plain paper, for anybody. */
export async function GET(
  _: Request,
  { params }: { params: Promise<{ species: string }> },
): Promise<Response> {
  const { species } = await params;
  const result = await askAsAnybody('blankSheetView', { species });
  if (!result.ok) return Response.json(result, { status: statusOf(result) });
  return pdf(await blankSheetOf(result.value), `cut-sheet-${species}`);
}
