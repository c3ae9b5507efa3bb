import type { Message } from '@/core/order/message';
import type { Database } from '../database';

export async function writeMessages(db: Database, messages: readonly Message[]): Promise<void> {
  if (messages.length > 0) await db('messages').insert([...messages]);
}

/** The latest messages, the newest first. */
export async function latestMessages(db: Database, limit: number): Promise<Message[]> {
  return db('messages').orderBy('at', 'desc').orderBy('rowid', 'desc').limit(limit);
}
