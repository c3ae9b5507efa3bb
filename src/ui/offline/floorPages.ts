/** The cache of pages that are shown without the network. */
export const FLOOR_PAGES = 'fractum-floor';

/** Whether a page is one of the floor's: it opens without the network once somebody has seen it here. */
export function isFloorPage(path: string): boolean {
  return /^\/(hang|block|wrap)(\/|$)/.test(path);
}
