import { ask } from '@/app/door';
import { statusOf } from '@/app/http';
import { pdf } from '@/app/pdf';
import { confirmationOf } from '@/server/work';

/** The confirmation of a booking as a PDF. */
export async function GET(
  _: Request,
  { params }: { params: Promise<{ shareId: string }> },
): Promise<Response> {
  const { shareId } = await params;
  const result = await ask('confirmationView', { shareId });
  if (!result.ok) return Response.json(result, { status: statusOf(result) });
  return pdf(await confirmationOf(result.value), `confirmation-${shareId.slice(0, 8)}`);
}
