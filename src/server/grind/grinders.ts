import type { Role } from '@/data/people';

/** Who works at the grinder. */
export const GRINDERS: readonly Role[] = ['owner', 'cutter', 'smoker'];
