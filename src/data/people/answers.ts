import type { Database } from '../database';

/** What was answered to something asked by id, so that the same question gets the same answer. */
export type Answer = {
  readonly clientId: string;
  readonly asked: string;
  readonly actorId: string;
  /** Of the whole input: the same id with another input is another question. */
  readonly inputHash: string;
  readonly output: unknown;
  readonly at: string;
};

export async function answerTo(db: Database, clientId: string): Promise<Answer | undefined> {
  const row = await db('answers').where({ clientId }).first();
  return row && { ...row, output: JSON.parse(row.output) };
}

export async function writeAnswer(db: Database, answer: Answer): Promise<void> {
  await db('answers').insert({ ...answer, output: JSON.stringify(answer.output ?? null) });
}
