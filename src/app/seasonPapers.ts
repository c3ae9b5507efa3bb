import { askedAs, fileResponse } from '@/app/fileResponse';
import { statusOf } from '@/app/http';
import { pdf } from '@/app/pdf';
import { yearSaid } from '@/app/yearSaid';
import type { Result } from '@/core/quantity/result';
import type { Reason } from '@/server/house/reasons';
import type { OutputOf } from '@/server/useCases';
import { farmSeasonOf } from '@/server/work';

type Season = 'farmSeasonView' | 'farmSeasonFileView';

/** Asks for a farm's season, at the desk or by the farmer's link. */
type Ask = <Name extends Season>(name: Name, year: object) => Promise<Result<OutputOf<Name>, Reason>>;

/** A farm's season as a PDF, or as a table with `as=csv`. */
export async function seasonPapers(request: Request, ask: Ask): Promise<Response> {
  const year = yearSaid(new URL(request.url).searchParams.get('year'));
  if (askedAs(request) === 'csv') return fileResponse(await ask('farmSeasonFileView', year));
  const season = await ask('farmSeasonView', year);
  if (!season.ok) return Response.json(season, { status: statusOf(season) });
  return pdf(await farmSeasonOf(season.value), `season-${season.value.year}`);
}
