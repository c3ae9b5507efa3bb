import type { ShareId } from '@/core/order/animal';
import type { WeighingId } from '@/core/order/work';
import type { Database } from '../database';

type Allotment = { readonly weighingId: WeighingId; readonly shareId: ShareId };

/** Says which household got which package. */
export async function writeAllotments(db: Database, allotments: readonly Allotment[]): Promise<void> {
  if (allotments.length > 0) await db('allotments').insert([...allotments]);
}

/** The packages that each of these shares got; a share that shares nothing out is not there. */
export async function allotmentsOf(
  db: Database,
  shareIds: readonly ShareId[],
): Promise<ReadonlyMap<ShareId, ReadonlySet<WeighingId>>> {
  const rows: Allotment[] = await db('allotments').whereIn('shareId', [...shareIds]);
  const found = new Map<ShareId, Set<WeighingId>>();
  for (const { weighingId, shareId } of rows) {
    found.set(shareId, (found.get(shareId) ?? new Set()).add(weighingId));
  }
  return found;
}
