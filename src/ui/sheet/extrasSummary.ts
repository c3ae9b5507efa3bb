import type { Wrap } from '@/core/sheet/types';
import type { SheetState } from './useSheet';

export const WRAP_WORDS: Record<Wrap, string> = { vacuum: 'vacuum bag', paper: 'film and paper' };

/** One line for the row when it is closed. */
export function extrasSummary({ sheet, situation }: SheetState): string {
  const kept = situation.species.poolKeeps.filter((keep) => sheet.keeps[keep.id]).map((keep) => keep.title);
  const words = [WRAP_WORDS[sheet.wrap], ...kept.map((title) => `${title.toLowerCase()} kept`)];
  return sheet.instructions ? `${words.join(', ')}; “${sheet.instructions}”` : words.join(', ');
}
