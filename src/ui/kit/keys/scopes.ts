import { Signal } from '../signal';
import type { Scope } from './keys';

/** How many dialogs stand open: keys of the page rest under them. */
export const openDialogs = new Signal(0);

/** The scopes whose keys hold on the page that is shown. */
export const scopesHere = new Signal<readonly Scope[]>([]);

/** @returns a function that ends it */
export function enterScope(scope: Scope): () => void {
  scopesHere.set([...scopesHere.get(), scope]);
  return () => {
    const scopes = [...scopesHere.get()];
    scopes.splice(scopes.indexOf(scope), 1);
    scopesHere.set(scopes);
  };
}

/** @returns a function that ends it */
export function standOpen(): () => void {
  openDialogs.set(openDialogs.get() + 1);
  return () => openDialogs.set(openDialogs.get() - 1);
}
