import type { WeightBasis } from '@/core/hang/sideToCut';

/** What the weight of a share stands on. */
export const BASIS_WORDS: Readonly<Record<WeightBasis, string>> = {
  cold: 'cold, as weighed',
  hot: 'expected cold, from the hot weight',
  usual: 'a usual animal; nothing is weighed yet',
};
