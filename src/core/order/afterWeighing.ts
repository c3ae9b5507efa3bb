import type { Posting } from '../ledger/ledger';
import type { Weight } from '../quantity/weight';
import type { ShareFile } from './shareFile';
import type { Weighing } from './work';

/** The file as it is once a weighing and its postings are written; what was known of the share is not read again. */
export function afterWeighing(file: ShareFile, weighing: Weighing, postings: readonly Posting[]): ShareFile {
  return { ...file, weighings: [...file.weighings, weighing], held: added(file.held, postings) };
}

/** Balances with postings added, by kind and owner; accounts that come out empty are left out. */
function added(held: readonly Posting[], postings: readonly Posting[]): Posting[] {
  const accounts = new Map<string, Posting>();
  for (const posting of [...held, ...postings]) {
    const account = `${posting.kind} ${posting.owner}`;
    const weight = ((accounts.get(account)?.weight ?? 0) + posting.weight) as Weight;
    accounts.set(account, { kind: posting.kind, owner: posting.owner, weight });
  }
  return [...accounts.entries()]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([, posting]) => posting)
    .filter((posting) => posting.weight !== 0);
}
