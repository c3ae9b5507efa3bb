import { ask } from '@/app/door';
import { askedAs, fileResponse } from '@/app/fileResponse';

/** A species of the shop as a file, or its pieces as a table for a spreadsheet. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ id: string }> },
): Promise<Response> {
  const { id } = await params;
  return fileResponse(await ask('speciesFileView', { id, as: askedAs(request) }));
}
