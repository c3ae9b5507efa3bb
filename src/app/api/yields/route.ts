import { ask } from '@/app/door';
import { fileResponse } from '@/app/fileResponse';

/** Finished shares of a choice as CSV; the address says the choice as the page's does. */
export async function GET(request: Request): Promise<Response> {
  const said = Object.fromEntries(new URL(request.url).searchParams);
  return fileResponse(await ask('yieldsFileView', said));
}
