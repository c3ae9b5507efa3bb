import { statusOf } from './http';
import type { Result } from '@/core/quantity/result';
import type { Reason } from '@/server/house/reasons';

const TYPES: Readonly<Record<string, string>> = {
  csv: 'text/csv; charset=utf-8',
  ics: 'text/calendar; charset=utf-8',
};

/** A text file to be saved, as a spreadsheet, a calendar or as JSON by the end of its name; or why there is none. */
export function fileResponse(result: Result<{ name: string; text: string }, Reason>): Response {
  if (!result.ok) return Response.json(result, { status: statusOf(result) });
  const { name, text } = result.value;
  const type = TYPES[name.split('.').at(-1)!] ?? 'application/json';
  return new Response(text, {
    headers: { 'content-type': type, 'content-disposition': `attachment; filename="${name}"` },
  });
}

/** The kind of file that an address asks for. */
export function askedAs(request: Request): 'csv' | 'json' {
  return new URL(request.url).searchParams.get('as') === 'csv' ? 'csv' : 'json';
}
