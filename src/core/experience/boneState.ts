import type { Species } from '../species/types';

/** How much of an animal's bone left it: yields are compared only between animals of one state. */
export const BONE_STATES = ['bone-in', 'mixed', 'boneless'] as const;
export type BoneState = (typeof BONE_STATES)[number];

/** Parts of the carcass' bone that went out, above which a sheet counts as mixed and as boneless. */
const MIXED_ABOVE = 0.6;
const BONELESS_ABOVE = 0.85;

/** Bone that leaves, of a cold weight; both in one unit. */
type BoneOut = { readonly coldWeight: number; readonly losses: { readonly bone: number } };

/** The bone state of a sheet: by the part of the carcass' bone that leaves. */
export function boneStateOf(species: Pick<Species, 'atlas'>, { coldWeight, losses }: BoneOut): BoneState {
  const bone = coldWeight * boneShareOf(species);
  const out = bone > 0 ? losses.bone / bone : 0;
  if (out > BONELESS_ABOVE) return 'boneless';
  return out > MIXED_ABOVE ? 'mixed' : 'bone-in';
}

/** How much of a carcass is bone, 0 to 1. */
function boneShareOf({ atlas }: Pick<Species, 'atlas'>): number {
  return atlas.atoms.reduce((sum, atom) => sum + (atom.sharePct * atom.composition.bone) / 10_000, 0);
}
