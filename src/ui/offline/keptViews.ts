import { FLOOR_PAGES } from './floorPages';

/** A view that the floor goes on with while the network is away; it says when it was read. */
export type Dated = { readonly readAt: string };

const KEY = 'fractum-kept-views';
/** Views of so many shares stay, the last seen ones. */
const MOST_VIEWS = 24;

type Kept = { readonly name: string; readonly view: Dated };

function all(): Kept[] {
  try {
    return JSON.parse(window.localStorage.getItem(KEY) ?? '[]') as Kept[];
  } catch {
    return [];
  }
}

/** The last that this device has seen of a view; undefined where it has not. */
export function keptView<View extends Dated>(name: string): View | undefined {
  return all().find((each) => each.name === name)?.view as View | undefined;
}

/** Keeps what was seen last; a device without room keeps fewer. */
export function keepView(name: string, view: Dated): void {
  let kept = [{ name, view }, ...all().filter((each) => each.name !== name)].slice(0, MOST_VIEWS);
  for (;;) {
    try {
      return window.localStorage.setItem(KEY, JSON.stringify(kept));
    } catch {
      if (kept.length <= 1) return;
      kept = kept.slice(0, Math.ceil(kept.length / 2));
    }
  }
}

/** Whoever signs out leaves nothing of what was seen on the device; what was done and not sent stays. */
export async function forgetSeen(): Promise<void> {
  try {
    window.localStorage.removeItem(KEY);
    await caches.delete(FLOOR_PAGES);
  } catch {
    // A browser without a store has kept nothing.
  }
}
