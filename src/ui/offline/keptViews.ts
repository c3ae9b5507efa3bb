import { FLOOR_PAGES } from './floorPages';

/** A view that the floor goes on with while the network is away; it says when it was read. */
export type Dated = { readonly readAt: string };

const PREFIX = 'fractum-kept ';
/** Views of so many shares stay, the last seen ones. */
const MOST_VIEWS = 24;

function keys(): string[] {
  return Object.keys(window.localStorage).filter((key) => key.startsWith(PREFIX));
}

function read<View extends Dated>(key: string): View | undefined {
  try {
    return JSON.parse(window.localStorage.getItem(key) ?? 'null') ?? undefined;
  } catch {
    return undefined;
  }
}

/** The last that this device has seen of a view; undefined where it has not. */
export function keptView<View extends Dated>(name: string): View | undefined {
  return read<View>(PREFIX + name);
}

/** Keeps what was seen last; when there is no more room the oldest go. */
export function keepView(name: string, view: Dated): void {
  const key = PREFIX + name;
  if (window.localStorage.getItem(key) === null && keys().length >= MOST_VIEWS) dropOldest();
  try {
    window.localStorage.setItem(key, JSON.stringify(view));
  } catch {
    // No room: without the network the page stands as it was kept.
    dropOldest();
  }
}

function dropOldest(): void {
  const [oldest] = keys().sort((one, other) => {
    const [first, second] = [one, other].map((key) => read(key)?.readAt ?? '');
    return first! < second! ? -1 : 1;
  });
  if (oldest !== undefined) window.localStorage.removeItem(oldest);
}

/** Whoever signs out leaves nothing of what was seen on the device; what was done and not sent stays. */
export async function forgetSeen(): Promise<void> {
  try {
    for (const key of keys()) window.localStorage.removeItem(key);
    await caches.delete(FLOOR_PAGES);
  } catch {
    // A browser without a store has kept nothing.
  }
}
