import { ask } from '@/app/door';
import { askedAs, fileResponse } from '@/app/fileResponse';
import { statusOf } from '@/app/http';
import { pdf } from '@/app/pdf';
import { isDay, type Day } from '@/core/time/shopTime';
import { dayBookPdfOf } from '@/server/work';

/** The book of a day as a PDF, or as a table with `as=csv`. */
export async function GET(request: Request): Promise<Response> {
  const day = new URL(request.url).searchParams.get('day') ?? '';
  const said = isDay(day) ? { day: day as Day } : {};
  if (askedAs(request) === 'csv') return fileResponse(await ask('dayBookFileView', said));
  const book = await ask('dayBookView', said);
  if (!book.ok) return Response.json(book, { status: statusOf(book) });
  return pdf(await dayBookPdfOf(book.value), `day-${book.value.day}`);
}
