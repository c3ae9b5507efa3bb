import type { ShareFile } from '../order/shareFile';
import { jobOf } from '../order/standing';
import { asCut } from './asCut';

/** The file with its sheet and its carcass as they are being cut: what was done otherwise is done. */
export function asCutOf(file: ShareFile): ShareFile {
  if (file.deviations.length === 0 || !file.sheet) return file;
  const positions = file.sides.map(({ side }) => side.position);
  const job = file.deviations.reduce((before, deviation) => {
    const after = asCut(before, deviation, positions);
    return after.ok ? after.value : before;
  }, jobOf(file));
  return { ...file, situation: job.situation, sheet: { ...file.sheet, sheet: job.sheet } };
}
