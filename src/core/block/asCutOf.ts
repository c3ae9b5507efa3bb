import type { Deviation } from '../order/deviation';
import type { ShareFile } from '../order/shareFile';
import { jobOf } from '../order/standing';
import type { Job } from '../sheet/situation';
import { asCut } from './asCut';

/** A job as it is being cut: what was done otherwise is done. What cannot be done to it any more changes nothing. */
export function withDeviations(
  job: Job,
  deviations: readonly Deviation[],
  positions: readonly ('left' | 'right')[],
): Job {
  return deviations.reduce((before, deviation) => {
    const after = asCut(before, deviation, positions);
    return after.ok ? after.value : before;
  }, job);
}

/** The file with its sheet and its carcass as they are being cut. */
export function asCutOf(file: ShareFile): ShareFile {
  if (file.deviations.length === 0 || !file.sheet) return file;
  const positions = file.sides.map(({ side }) => side.position);
  const { situation, sheet } = withDeviations(jobOf(file), file.deviations, positions);
  return { ...file, situation, sheet: { ...file.sheet, sheet } };
}
