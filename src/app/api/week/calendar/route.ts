import { ask } from '@/app/door';
import { fileResponse } from '@/app/fileResponse';

/** What is cut on which day, as a file of an open calendar. */
export async function GET(): Promise<Response> {
  return fileResponse(await ask('weekCalendarView', {}));
}
