/** Letters and digits that nobody takes for each other, read out or written by hand. */
export const CODE_SIGNS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';
export const CODE_LENGTH = 8;
const HALF = CODE_LENGTH / 2;

/**
 * A code as it is read out: in two halves.
 *
 * @example codeWords('K7QM4XTB') // => 'K7QM-4XTB'
 */
export function codeWords(code: string): string {
  return `${code.slice(0, HALF)}-${code.slice(HALF)}`;
}

/**
 * A code as somebody types it who is told it: small letters, spaces and dashes are the same code.
 *
 * @returns undefined when it is none
 * @example codeOf(' k7qm 4xtb') // => 'K7QM4XTB'
 */
export function codeOf(said: string): string | undefined {
  const code = said.toUpperCase().replace(/[\s–-]/g, '');
  const isCode = code.length === CODE_LENGTH && [...code].every((sign) => CODE_SIGNS.includes(sign));
  return isCode ? code : undefined;
}

/** @param signAt - gives a number from 0 up to and without the one it is given */
export function newCode(signAt: (below: number) => number): string {
  return Array.from({ length: CODE_LENGTH }, () => CODE_SIGNS[signAt(CODE_SIGNS.length)]).join('');
}
