/** Rows of a sheet below the zones of the animal. */
export const GRIND_ROW = 'grind';
export const EXTRAS_ROW = 'extras';
