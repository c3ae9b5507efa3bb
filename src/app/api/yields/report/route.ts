import { ask } from '@/app/door';
import { fileResponse } from '@/app/fileResponse';
import { yearSaid } from '@/app/yearSaid';

/** A year of the shop as CSV. */
export async function GET(request: Request): Promise<Response> {
  const { searchParams } = new URL(request.url);
  return fileResponse(await ask('reportFileView', yearSaid(searchParams.get('year'))));
}
