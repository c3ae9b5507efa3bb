import { ask } from '@/app/door';
import { askedAs, fileResponse } from '@/app/fileResponse';

/** A price list as a file for a spreadsheet, or as it is published. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ listId: string }> },
): Promise<Response> {
  const { listId } = await params;
  return fileResponse(await ask('priceFileView', { listId, as: askedAs(request) }));
}
