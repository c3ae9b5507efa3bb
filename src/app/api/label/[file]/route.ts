import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { currentActor } from '@/app/door';
import { spoolFolder } from '@/server/devices';

/** A printed label, to be looked at. */
export async function GET(_: Request, { params }: { params: Promise<{ file: string }> }): Promise<Response> {
  const { file } = await params;
  if (!(await currentActor())) return new Response('Sign in first.', { status: 401 });
  if (!/^[0-9a-f-]{36}(-copy\d+)?\.svg$/.test(file)) return new Response('No such label.', { status: 404 });
  try {
    const drawing = await readFile(join(spoolFolder(), file));
    return new Response(new Uint8Array(drawing), { headers: { 'content-type': 'image/svg+xml' } });
  } catch {
    return new Response('No such label.', { status: 404 });
  }
}
