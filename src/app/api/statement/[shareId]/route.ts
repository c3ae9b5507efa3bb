import { ask } from '@/app/door';
import { statusOf } from '@/app/http';
import { pdf } from '@/app/pdf';
import { statementOf } from '@/server/work';

/** The household's statement as a PDF, once the bill is final. */
export async function GET(
  _: Request,
  { params }: { params: Promise<{ shareId: string }> },
): Promise<Response> {
  const { shareId } = await params;
  const result = await ask('statementView', { shareId });
  if (!result.ok) return Response.json(result, { status: statusOf(result) });
  if (!result.value.final) return new Response('The bill is not final yet.', { status: 409 });
  return pdf(await statementOf(result.value), `statement-${shareId.slice(0, 8)}`);
}
