import { ask } from '@/app/door';
import { statusOf } from '@/app/http';

type Params = { params: Promise<{ version: string; species: string }> };

/** One species of one version of the catalogue. The same address always gives the same: browsers keep it. */
export async function GET(_: Request, { params }: Params): Promise<Response> {
  const { version, species } = await params;
  const result = await ask('speciesView', { id: species, version });
  if (!result.ok) return Response.json(result, { status: statusOf(result) });
  return Response.json(result.value, {
    headers: { 'cache-control': 'private, max-age=31536000, immutable' },
  });
}
