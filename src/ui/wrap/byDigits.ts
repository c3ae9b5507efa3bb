/** One digit names each of so many targets; more of them are named by two. */
const BY_ONE_DIGIT = 10;

/** What is pressed for the target at this place among so many: `1` to `0`, or `01` to `27`. */
export function targetName(index: number, count: number): string {
  return count > BY_ONE_DIGIT ? String(index + 1).padStart(2, '0') : String((index + 1) % BY_ONE_DIGIT);
}

/** What digits that were pressed one after the other choose among so many targets. */
export type Typed = { readonly rest: string; readonly index: number | undefined };

/**
 * Another digit after those that wait for theirs.
 *
 * @example typedDigit('', '2', 27) // => { rest: '2', index: undefined }
 * @example typedDigit('2', '7', 27) // => { rest: '', index: 26 }
 */
export function typedDigit(rest: string, digit: string, count: number): Typed {
  if (count <= BY_ONE_DIGIT) return { rest: '', index: (Number(digit) + BY_ONE_DIGIT - 1) % BY_ONE_DIGIT };
  if (rest === '') return { rest: digit, index: undefined };
  const index = Number(rest + digit) - 1;
  return { rest: '', index: index >= 0 && index < count ? index : undefined };
}
