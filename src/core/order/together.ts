import type { Share } from './animal';

type Live = Pick<Share, 'id' | 'part' | 'position' | 'cancelled'>;

/**
 * The households whose meat is cut as one, by one sheet, and shared out afterwards: those of one part of the animal. The
 * first of them decides; a household that has its part to itself is alone here.
 */
export function cutTogether<S extends Live>(share: S, siblings: readonly S[]): S[] {
  const others = siblings.filter(
    (each) => each.id !== share.id && !each.cancelled && each.part === share.part,
  );
  return [...others, share].sort((a, b) => a.position - b.position);
}

/** The share that decides what is cut: its sheet, its block and its balance are those of all of them. */
export function leadOf<S extends Live>(share: S, siblings: readonly S[]): S {
  return share.cancelled ? share : cutTogether(share, siblings)[0]!;
}
