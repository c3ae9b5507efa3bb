import type { Sheet } from '@/core/sheet/types';

/** A sheet that is tried on this telephone, and the code it was last taken along under. */
export type KeptTry = {
  readonly sheet: Sheet;
  readonly taken: { readonly code: string; readonly until: string; readonly sheet: Sheet } | null;
};

const keyOf = (species: string) => `fractum-try-${species}`;

/** What was tried of a species on this telephone. */
export function readTry(species: string): KeptTry | undefined {
  try {
    const text = window.localStorage.getItem(keyOf(species));
    return text ? (JSON.parse(text) as KeptTry) : undefined;
  } catch {
    return undefined;
  }
}

/** @returns whether the telephone keeps it */
export function writeTry(species: string, kept: KeptTry): boolean {
  try {
    window.localStorage.setItem(keyOf(species), JSON.stringify(kept));
    return true;
  } catch {
    return false;
  }
}
