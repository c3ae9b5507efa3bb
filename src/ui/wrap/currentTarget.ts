import { isDue, type Target } from './targets';

/** The target that a hand or a key has chosen, and whether something of it was still due then. */
export type Chosen = { readonly key: string; readonly wasDue: boolean };

/**
 * The target that the next weight is taken for: the chosen one until all of it is made, else the first that is due. One
 * that was chosen though nothing more of it is due stays chosen: somebody wants one more.
 */
export function currentTarget(inSection: readonly Target[], chosen: Chosen | undefined): Target | undefined {
  const explicit = inSection.find((target) => target.key === chosen?.key);
  if (explicit && (isDue(explicit) || !chosen!.wasDue)) return explicit;
  const isOpen = (target: Target) => isDue(target) && target.waits === '';
  return inSection.find(isOpen) ?? explicit ?? inSection[0];
}
