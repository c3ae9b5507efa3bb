import { ask } from '@/app/door';
import { statusOf } from '@/app/http';
import { pdf } from '@/app/pdf';
import { cutCardsOf } from '@/server/work';

/** Cards of all cuts of a species, to print and pin up beside the scale. */
export async function GET(
  _: Request,
  { params }: { params: Promise<{ species: string }> },
): Promise<Response> {
  const { species } = await params;
  const result = await ask('cutCardsView', { species });
  if (!result.ok) return Response.json(result, { status: statusOf(result) });
  return pdf(await cutCardsOf(result.value), `cards-${species}`);
}
