/** Rows of a sheet below the zones of the animal. */
export const GRIND_ROW = 'grind';
export const EXTRAS_ROW = 'extras';

/** Fat that comes out this many points beside what was asked is said, on the closed row too. */
export const FAT_BESIDE = 1.5;
