import { ZipArchive } from 'archiver';
import { Readable } from 'node:stream';
import { askAs, currentActor } from '@/app/door';
import type { Result } from '@/core/quantity/result';
import type { Staff } from '@/server/house/actor';
import { statusOf } from '@/app/http';
import { bookReadme, bookSchema, type BookTable } from '@/core/formats/bookFiles';

/** The whole book as open files in one zip, made while it is sent: however large, it is never held at once. */
export async function GET(): Promise<Response> {
  const actor = await currentActor();
  const book = await askAs(actor, 'wholeBookView', {});
  if (!book.ok) return Response.json(book, { status: statusOf(book) });
  const zip = new ZipArchive({ zlib: { level: 6 } });
  zip.append(bookReadme(book.value), { name: 'README.md' });
  zip.append(bookSchema(book.value), { name: 'schema.json' });
  for (const table of book.value.tables) {
    zip.append(Readable.from(linesOf(actor, table)), { name: `${table.name}.jsonl` });
  }
  void zip.finalize();
  return new Response(Readable.toWeb(zip) as ReadableStream, {
    headers: {
      'content-type': 'application/zip',
      'content-disposition': `attachment; filename="book-${book.value.taken.slice(0, 10)}.zip"`,
    },
  });
}

/** A table piece by piece, each asked for at the doorway. */
async function* linesOf(actor: Staff | undefined, { name: table, upTo }: BookTable): AsyncGenerator<string> {
  let after: number | null = 0;
  while (after !== null) {
    const piece: Result<{ lines: string; next: number | null }, string> = await askAs(actor, 'bookRowsView', {
      table,
      after,
      upTo,
    });
    if (!piece.ok) throw new Error(piece.message);
    yield piece.value.lines;
    after = piece.value.next;
  }
}
