/** Nothing of the shop is opened for a page that only says hello. */
export function register(): void {}
