/** The demo's finished year in a unit, made once for each build. @returns its file */
export function ensureSeason(unit: 'lb' | 'kg'): string;
