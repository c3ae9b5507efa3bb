import { balances, type Posting } from '../ledger/ledger';
import type { ShareFile } from './shareFile';
import type { Weighing } from './work';

/** The file as it is once a weighing and its postings are written; what was known of the share is not read again. */
export function afterWeighing(file: ShareFile, weighing: Weighing, postings: readonly Posting[]): ShareFile {
  return { ...file, weighings: [...file.weighings, weighing], held: balances([...file.held, ...postings]) };
}
