import type { WeekEvent, WeekWord } from '@/core/week/journal';
import type { Database } from '../database';

type Row = Pick<WeekEvent, 'id' | 'at' | 'actorId'> & { readonly word: string };

/** Plans of before the last one hold nothing any more, and are not read. */
export async function weekEvents(db: Database): Promise<WeekEvent[]> {
  const rows: Row[] = await db('weekEvents')
    .whereNot({ kind: 'plan' })
    .orWhere('number', db('weekEvents').where({ kind: 'plan' }).max('number'))
    .orderBy('number')
    .select('id', 'word', 'at', 'actorId');
  return rows.map(({ word, ...said }) => ({ ...(JSON.parse(word) as WeekWord), ...said }));
}

export async function writeWeekEvent(
  db: Database,
  {
    word,
    ...said
  }: Pick<WeekEvent, 'id' | 'at' | 'actorId'> & {
    readonly clientId: string;
    readonly word: WeekWord;
  },
): Promise<void> {
  await db('weekEvents').insert({ ...said, kind: word.kind, word: JSON.stringify(word) });
}
