import type { Learnt } from '../experience/experience';
import type { CutYield, TissueWeights } from './cutting';

/** A hand may leave this part of what the rules trim on the cut, and not more. */
const MOST_TRIM_LEFT_ON = 0.9;

/**
 * A cut as this shop cuts it: what it packs less than the reference goes to the trim, in the tissues the cut is made
 * of; what it packs more stays on from the lean and fat that the rules would trim. Nothing is made or lost.
 */
export function withExperience(cut: CutYield, { logRatio }: Learnt): CutYield {
  if (logRatio === 0 || cut.packaged <= 0) return cut;
  const change = Math.exp(logRatio) - 1;
  return change < 0 ? trimmedMore(cut, -change) : trimmedLess(cut, change);
}

/** @param part - of what is kept that goes to the trim besides */
function trimmedMore(cut: CutYield, part: number): CutYield {
  const kept = cut.keptByCell.reduce((sum, each) => sum + each, 0);
  const off = kept * part;
  const fat = off * (1 - cut.leanShare - cut.boneShare);
  const trim: TissueWeights = {
    lean: cut.trim.lean + off * cut.leanShare,
    fat: cut.trim.fat + Math.max(0, fat),
    bone: cut.trim.bone + off * cut.boneShare,
    skin: cut.trim.skin,
  };
  return scaled({ ...cut, trim }, 1 - part);
}

/** @param part - of what is kept that the shop leaves on besides */
function trimmedLess(cut: CutYield, part: number): CutYield {
  const kept = cut.keptByCell.reduce((sum, each) => sum + each, 0);
  const there = (cut.trim.lean + cut.trim.fat) * MOST_TRIM_LEFT_ON;
  const on = Math.min(kept * part, there);
  if (on <= 0) return cut;
  const left = 1 - on / (cut.trim.lean + cut.trim.fat);
  const trim = { ...cut.trim, lean: cut.trim.lean * left, fat: cut.trim.fat * left };
  return scaled({ ...cut, trim }, 1 + on / kept);
}

function scaled(cut: CutYield, times: number): CutYield {
  return {
    ...cut,
    keptByCell: cut.keptByCell.map((kept) => kept * times),
    kerf: cut.kerf * times,
    green: cut.green * times,
    airLoss: cut.airLoss * times,
    packaged: cut.packaged * times,
  };
}
