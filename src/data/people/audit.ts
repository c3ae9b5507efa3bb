import type { Database } from '../database';

export type AuditLine = {
  readonly at: string;
  readonly actor: string;
  readonly role: string;
  readonly action: string;
  readonly outcome: string;
  readonly subject: string | null;
};

export async function writeAudit(db: Database, line: AuditLine): Promise<void> {
  await db('audit').insert(line);
}
