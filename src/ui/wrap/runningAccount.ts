import type { Weight } from '@/core/quantity/weight';
import type { Target } from './targets';

/** Where the meat of a share stands while it is wrapped. */
export type RunningAccount = {
  /** Of what is still on the block, this much is expected in packs, cure, tub and barrels. */
  readonly due: Weight;
  /** On the block beyond what is still due: it will be missing, unless packs come heavier. Below zero: more is asked than is there. */
  readonly over: Weight;
};

/** Comes off the block itself; what is in the tub or in the smoke has left it. */
function isFromBlock({ purpose }: Target): boolean {
  return purpose.kind === 'tub' || purpose.kind === 'barrel' || (purpose.from ?? 'share') === 'share';
}

/** What one more of a target weighs, as far as it is known. */
function nextWeighs({ band }: Target): number {
  return band ? (band.low + band.high) / 2 : 0;
}

/**
 * What is due from the block, and what is left over when all of it is there.
 *
 * @param onBlock - cold weight less everything weighed from it
 */
export function runningAccount(targets: readonly Target[], onBlock: Weight): RunningAccount {
  const due = targets
    .filter((target) => isFromBlock(target) && !target.settled)
    .reduce((sum, target) => sum + Math.max(0, target.due - target.made) * nextWeighs(target), 0);
  return { due: Math.round(due) as Weight, over: Math.round(onBlock - due) as Weight };
}
