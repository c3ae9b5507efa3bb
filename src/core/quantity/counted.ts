/**
 * A number with its noun, in the plural where there is not exactly one.
 *
 * @example counted(1, 'day') // => '1 day'
 * @example counted(2, 'pack') // => '2 packs'
 */
export function counted(count: number, noun: string): string {
  return `${count} ${noun}${count === 1 ? '' : 's'}`;
}
