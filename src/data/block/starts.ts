import type { ShareId } from '@/core/order/animal';
import type { Plan } from '@/core/order/plan';
import type { BlockStart } from '@/core/order/work';
import type { Database } from '../database';
import { readBill } from '../settle/bill';

/** A start with the plan that was frozen with it; starts of older versions may still lack theirs. */
export type Started = { readonly start: BlockStart; readonly plan: Plan | undefined };

export async function startsOf(
  db: Database,
  shareIds: readonly ShareId[],
): Promise<ReadonlyMap<ShareId, Started>> {
  const rows: (Omit<BlockStart, 'estimate'> & { estimate: string; plan: string | null })[] = await db(
    'blockStarts',
  )
    .leftJoin('plans', 'plans.shareId', 'blockStarts.shareId')
    .whereIn('blockStarts.shareId', [...shareIds])
    .select('blockStarts.*', db.raw('COALESCE(?, plans.plan) AS plan', [remade(db)]));
  return new Map(
    rows.map(({ plan, estimate, ...start }) => [
      start.shareId,
      { start: { ...start, estimate: readBill(estimate) }, plan: plan ? readPlan(plan) : undefined },
    ]),
  );
}

/** The plan as it was last made anew. */
function remade(db: Database) {
  return db('remadePlans')
    .whereRaw('remadePlans.shareId = blockStarts.shareId')
    .orderBy('number', 'desc')
    .limit(1)
    .select('plan');
}

/** Plans written before lines said on how many sides they are cut were of one. */
function readPlan(text: string): Plan {
  const plan: Plan = JSON.parse(text);
  const lines = plan.expected.lines.map((line) => ({
    ...line,
    sides: (line as Partial<typeof line>).sides ?? 1,
  }));
  return { ...plan, expected: { ...plan.expected, lines } };
}

export async function writeBlockStart(db: Database, start: BlockStart): Promise<void> {
  await db('blockStarts').insert({ ...start, estimate: JSON.stringify(start.estimate) });
}

export async function writePlan(db: Database, shareId: ShareId, plan: Plan): Promise<void> {
  await db('plans').insert({ shareId, plan: JSON.stringify(plan) });
}

/** @param causeId - the row because of which it is made anew */
export async function writeRemadePlan(
  db: Database,
  { shareId, causeId, plan }: { shareId: ShareId; causeId: string; plan: Plan },
): Promise<void> {
  await db('remadePlans').insert({ shareId, causeId, plan: JSON.stringify(plan) });
}

/** Shares that went to the block before plans were frozen. */
export async function startsWithoutPlan(db: Database): Promise<ShareId[]> {
  const rows: { shareId: ShareId }[] = await db('blockStarts')
    .whereNotIn('shareId', db('plans').select('shareId'))
    .select('shareId');
  return rows.map((row) => row.shareId);
}
