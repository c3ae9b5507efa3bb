import { askAsAnybody } from '@/app/door';
import { statusOf } from '@/app/http';

type Params = { params: Promise<{ version: string; species: string }> };

/** The species that a sheet is tried on; of one version, so that a telephone fetches it once. */
export async function GET(_: Request, { params }: Params): Promise<Response> {
  const { species } = await params;
  const result = await askAsAnybody('trySpeciesView', { species });
  if (!result.ok) return Response.json(result, { status: statusOf(result) });
  return Response.json(result.value, { headers: { 'cache-control': 'private, max-age=86400' } });
}
